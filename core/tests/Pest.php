<?php

declare(strict_types=1);

// The core's tests need no framework: plain Pest on plain PHP.
