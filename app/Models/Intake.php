<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Prunable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A file that was brought, and how far it got.
 *
 * @property array{encoding: string, delimiter: string, columns: list<string>, headings_line?: int,
 *     dates?: array<int, string>, sorts?: array<int, string>, sheet?: string, sheets?: list<string>,
 *     date1904?: bool} $format
 * @property array<int, string>|null $mapping column position → field
 * @property array{dates?: array<int, string>, words?: array<string, array<string, string>>}|null $answers  column
 *     position → order of its days, field → word → what it means
 * @property int $id
 * @property int|null $user_id
 * @property int|null $whose_id whose address book it is, where no column says it
 * @property IntakeKind $kind
 * @property string $name
 * @property string $path
 * @property string $checksum
 * @property int $bytes
 * @property string|null $source
 * @property IntakeState $state
 * @property int $offset
 * @property int $line
 * @property int $rows
 * @property int $created
 * @property int $updated
 * @property int $unchanged
 * @property int $rejected
 * @property int $waiting rows that wait for somebody to say what is meant
 * @property int $unread cells that cannot be read
 * @property int $short rows with fewer cells than headings
 * @property int $cleaned rows with control characters
 * @property string|null $message what went wrong, or what an undoing left
 * @property int|null $stopped_by
 * @property array<string, mixed>|null $outlook  what would become of its rows, as long as it is not brought in
 * @property CarbonImmutable|null $started_at
 * @property CarbonImmutable|null $finished_at
 * @property CarbonImmutable|null $created_at
 * @property-read User|null $user
 * @property-read User|null $stopper who stopped it
 * @property-read Collection<int, IntakeRejection> $rejections
 */
final class Intake extends Model
{
    use Prunable;

    /** Follows the path where the file is a sheet of a workbook, which is kept beside it. */
    public const WORKBOOK = '.xlsx';

    /** Days after which a file that nobody went on with is put aside. */
    private const DRAFT_DAYS = 7;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'kind' => IntakeKind::class, 'state' => IntakeState::class, 'format' => 'array', 'mapping' => 'array',
        'answers' => 'array', 'outlook' => 'array',
        'started_at' => 'datetime', 'finished_at' => 'datetime',
    ];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function stopper(): BelongsTo
    {
        return $this->belongsTo(User::class, 'stopped_by');
    }

    /** @return HasMany<IntakeRejection, $this> */
    public function rejections(): HasMany
    {
        return $this->hasMany(IntakeRejection::class)->orderBy('line');
    }

    /** @return HasMany<IntakeCell, $this> */
    public function cells(): HasMany
    {
        return $this->hasMany(IntakeCell::class)->orderBy('line')->orderBy('id');
    }

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return self::query()->where('state', IntakeState::Draft)
            ->where('updated_at', '<', now()->subDays(self::DRAFT_DAYS));
    }

    /** Nothing of it was brought in, so that nothing is left of it. */
    protected function pruning(): void
    {
        $this->forgetFile();
    }

    /** Of what was not brought in nothing stays. */
    public function discard(): void
    {
        $this->forgetFile();
        $this->delete();
    }

    public function forgetFile(): void
    {
        $path = config('luftig.intakes').'/'.$this->path;
        @unlink($path);
        @unlink($path.self::WORKBOOK);
    }

    public function progress(): float
    {
        return $this->bytes === 0 ? 1.0 : min(1.0, $this->offset / $this->bytes);
    }
}
