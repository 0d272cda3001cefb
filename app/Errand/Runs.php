<?php

declare(strict_types=1);

namespace App\Errand;

use App\Models\Work\Errand;

/** One kind of long work. It may be begun anew after a power cut: what it wrote already it does not write twice. */
interface Runs
{
    /** As the errand names it. */
    public static function kind(): string;

    /**
     * @return array<string, mixed> what the answer says; a `file` in it, of the errand's own folder, can be fetched,
     *     and `fileName` and `fileType` say what it is
     */
    public function run(Errand $errand): array;
}
