<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** Writes that stand or fall together. Where another writer was in the way, all of them are done anew. */
final class Together
{
    private const TRIES = 3;

    /**
     * @template T
     *
     * @param  Closure(): T  $work
     * @param  Model  ...$models  that it saves: what an earlier try saved was taken back, and they must not think it
     *     stands
     * @return T
     */
    public static function write(Closure $work, Model ...$models): mixed
    {
        $tried = 0;

        return DB::transaction(function () use ($work, $models, &$tried): mixed {
            if ($tried++ > 0) {
                array_map(fn (Model $model): Model => $model->refresh(), $models);
            }

            return $work();
        }, self::TRIES);
    }
}
