<?php

declare(strict_types=1);

namespace App\View\Feeds;

use App\Models\FeedItem;
use App\Models\Mention;
use App\Support\Format;
use Illuminate\Support\Collection;
use Luftig\Core\Signal\Aboutness;

/** What a feed brought, as it came, as it was read, and what became of it. */
final readonly class ItemPage
{
    private const LABELS = [
        'employer' => 'Employer', 'domain' => 'Domain', 'place' => 'Place', 'country' => 'Country',
        'type' => 'Employment', 'until' => 'Until',
        'text' => 'Text', 'author' => 'Put up by', 'agency' => 'By an agency', 'paper' => 'Paper', 'links' => 'Links',
        'round' => 'Round', 'amount' => 'Amount', 'currency' => 'Currency', 'title' => 'Title', 'day' => 'Day',
        'months' => 'Heads by month',
    ];

    private const RAW = 40_000;

    /** @param  Collection<int, Mention>  $mentions */
    private function __construct(public FeedItem $item, private Collection $mentions)
    {
    }

    public static function of(FeedItem $item): self
    {
        return new self($item->load('feed', 'account', 'signals.account'), $item->mentions()->with('account')->get());
    }

    public function about(): string
    {
        return Format::line(
            ucfirst($this->item->kind->label()),
            $this->item->at === null ? null : 'of '.Format::date($this->item->at),
            'came '.($this->item->created_at === null ? '' : Format::ago($this->item->created_at)),
            $this->item->gone_at === null ? null : 'no longer listed since '.Format::date($this->item->gone_at),
        );
    }

    public function outcome(): string
    {
        return ucfirst($this->item->state->label()).($this->item->why === null ? '.' : ": {$this->item->why}");
    }

    /** @return array<string, string> as it was read */
    public function facts(): array
    {
        return self::named($this->item->facts);
    }

    /** @return list<array{at: string, before: array<string, string>}> the newest first */
    public function changes(): array
    {
        return array_map(fn (array $change): array => [
            'at' => $change['at'], 'before' => self::named($change['before']),
        ], array_reverse($this->item->changes ?? []));
    }

    /** @return list<array{mention: Mention, says: string, isOpen: bool}> */
    public function mentions(): array
    {
        return array_values($this->mentions->map(fn (Mention $mention): array => [
            'mention' => $mention,
            'says' => Format::percent($mention->confidence)." sure. {$mention->because}",
            'isOpen' => $mention->verdict === Aboutness::ToDecide,
        ])->all());
    }

    public function raw(): string
    {
        $raw = mb_scrub($this->item->raw());
        $json = json_decode($raw);

        return mb_strcut($json === null ? $raw : (string) json_encode(
            $json,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        ), 0, self::RAW);
    }

    /** @param  array<string, array<string, int>>  $months  by function */
    private static function months(array $months): string
    {
        return implode("\n", array_map(
            fn (string $function, array $heads): string => ($function === '' ? 'all' : $function).': '
                .implode(', ', array_map(fn (string $month): string => "$month {$heads[$month]}", array_keys($heads))),
            array_keys($months),
            $months,
        ));
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array<string, string>
     */
    private static function named(array $facts): array
    {
        $named = [];
        foreach ($facts as $field => $value) {
            $named[self::LABELS[$field] ?? $field] = match (true) {
                is_array($value) && $field === 'months' => self::months($value),
                is_array($value) => implode(', ', array_filter($value, is_scalar(...))),
                $value === true => 'yes',
                $value === null => '–',
                default => (string) $value,
            };
        }

        return $named;
    }
}
