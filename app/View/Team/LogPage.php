<?php

declare(strict_types=1);

namespace App\View\Team;

use App\Models\Account;
use App\Models\Contact;
use App\Models\User;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Spatie\Activitylog\Models\Activity;

/** Who did what and when, the last first; nobody takes anything out of it. */
final readonly class LogPage
{
    private const SIZE = 50;

    /** So much of a value is shown. */
    private const LONG = 60;

    /** @param  LengthAwarePaginator<int, Activity>  $lines */
    private function __construct(
        public LengthAwarePaginator $lines,
        public ?int $by,
        public string $words,
        public string $since,
    ) {
    }

    /** @param  string  $since  a day; anything else is none */
    public static function of(?int $by, string $words, string $since): self
    {
        $day = preg_match('/^\d{4}-\d{2}-\d{2}$/', $since) === 1 ? $since : '';
        $like = '%'.addcslashes($words, '%_\\').'%';

        return new self(
            Activity::query()->with('causer', 'subject')
                ->when(
                    $by !== null, fn ($query) => $query->where('causer_type', User::class)->where('causer_id', $by),
                )
                ->when($words !== '', fn ($query) => $query->where(fn ($either) => $either
                    ->where('description', 'like', $like)
                    ->orWhereRaw('properties COLLATE utf8mb4_unicode_ci LIKE ?', [$like])))
                ->when($day !== '', fn ($query) => $query->where('created_at', '>=', $day))
                ->orderByDesc('created_at')->orderByDesc('id')->paginate(self::SIZE)->withQueryString(),
            $by, $words, $day,
        );
    }

    public function about(): string
    {
        return Format::count($this->lines->total(), 'line');
    }

    /** @return array<int|string, string> */
    public function people(): array
    {
        return ['' => 'anybody'] + User::query()->orderBy('name')->pluck('name', 'id')->all();
    }

    /**
     * @return list<array{at: string, by: string, what: string, of: string, url: string|null,
     *     changes: list<string>}>
     */
    public function rows(): array
    {
        return array_map(fn (Activity $line): array => [
            'at' => CarbonImmutable::parse($line->created_at)->format('j M Y, G:i').' UTC',
            'by' => $line->causer instanceof User ? $line->causer->name : 'Luftig itself',
            'what' => (string) $line->description, 'of' => self::named($line->subject),
            'url' => match (true) {
                $line->subject instanceof Account => route('accounts.show', $line->subject),
                $line->subject instanceof Contact => route('contacts.show', $line->subject),
                default => null,
            },
            'changes' => self::changes($line->properties ?? collect()),
        ], array_values($this->lines->items()));
    }

    private static function named(?Model $subject): string
    {
        return match (true) {
            $subject instanceof Contact => $subject->name(),
            $subject === null => '',
            default => (string) ($subject->getAttribute('name') ?? ''),
        };
    }

    /**
     * @param  Collection<int|string, mixed>  $properties
     * @return list<string> “pace: 20 → 12”
     */
    private static function changes(Collection $properties): array
    {
        $new = (array) $properties->get('attributes', []);
        $old = (array) $properties->get('old', []);
        $says = fn (mixed $value): string => match (true) {
            $value === null || $value === '' => 'nothing',
            is_bool($value) => $value ? 'yes' : 'no',
            is_scalar($value) => Format::cut((string) $value, self::LONG),
            default => Format::cut((string) json_encode($value, JSON_UNESCAPED_UNICODE), self::LONG),
        };
        $changes = [];
        foreach ($new as $field => $value) {
            $before = $old === [] ? '' : $says($old[$field] ?? null).' → ';
            $changes[] = str_replace('_', ' ', (string) $field).": $before{$says($value)}";
        }

        return $changes;
    }
}
