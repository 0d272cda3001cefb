<?php

declare(strict_types=1);

namespace App\Backup;

use RuntimeException;

/** A backup that cannot be made or used, and why, for whoever runs the server. */
final class Broken extends RuntimeException
{
}
