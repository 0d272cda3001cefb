<?php

declare(strict_types=1);

// What differs from the framework's own settings: see logging.php.
return [
    'mailers' => ['log' => ['transport' => 'log', 'channel' => 'mail']],
];
