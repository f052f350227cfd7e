<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\EventTarget;
use App\Models\LookUpService;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;

/** After the key was changed: what only it opens is sealed with the new one. Those before open it until then. */
final class SealAnew extends Command
{
    /** @var list<class-string<Model>> whose casts say that something of theirs is encrypted */
    public const SEALED = [EventTarget::class, LookUpService::class, User::class];

    protected $signature = 'luftig:seal';

    protected $description = 'Seals secrets with the key that is set now, which those before it had sealed';

    public function handle(): int
    {
        $sealed = $lost = 0;
        foreach (self::SEALED as $class) {
            $model = new $class;
            $isSealed = fn (string $cast): bool => str_starts_with($cast, 'encrypted');
            foreach (array_keys(array_filter($model->getCasts(), $isSealed)) as $column) {
                $table = $model->getTable();
                foreach (DB::table($table)->whereNotNull($column)->pluck($column, 'id') as $id => $before) {
                    try {
                        $now = Crypt::encryptString(Crypt::decryptString($before));
                    } catch (DecryptException) {
                        $this->warn("$column of row $id in $table was sealed with a key that is not here.");
                        $lost++;

                        continue;
                    }
                    // Whoever set another one meanwhile has sealed it with the new key already.
                    $sealed += DB::table($table)->where('id', $id)->where($column, $before)->update([$column => $now]);
                }
            }
        }
        $this->line($sealed === 1 ? 'One secret is sealed anew.' : "$sealed secrets are sealed anew.");

        return $lost === 0 ? self::SUCCESS : self::FAILURE;
    }
}
