<?php

declare(strict_types=1);

namespace App\Stage;

use Illuminate\Cache\FileStore;
use Throwable;

/** What is kept in files to be shown again. Where none can be written pages are worked out anew each time. */
final class CalmCache extends FileStore
{
    public function put($key, $value, $seconds): bool
    {
        try {
            return parent::put($key, $value, $seconds);
        } catch (Throwable) {
            return false;
        }
    }

    /** Also who may work something out for all: whoever cannot write that works it out, as everybody does then. */
    public function add($key, $value, $seconds): bool
    {
        try {
            return parent::add($key, $value, $seconds);
        } catch (Throwable) {
            return true;
        }
    }
}
