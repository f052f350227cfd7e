<?php

declare(strict_types=1);

namespace App\View\LookUps;

use App\Models\LookUp;
use App\Support\Format;
use Illuminate\Pagination\LengthAwarePaginator;

/** Every credit: who was asked for, of whom, by whom, what came, and what it took. */
final readonly class LedgerPage
{
    private const SIZE = 100;

    /** @param  LengthAwarePaginator<int, LookUp>  $lines */
    private function __construct(public LengthAwarePaginator $lines, private float $took)
    {
    }

    public static function make(): self
    {
        return new self(
            LookUp::query()->with('service', 'contact', 'account', 'user')->latest('id')->paginate(self::SIZE),
            (float) LookUp::query()->sum('price'),
        );
    }

    public function about(): string
    {
        return Format::count($this->lines->total(), 'question').', '.Format::worth($this->took).' credits in all';
    }

    public static function says(LookUp $line): string
    {
        return match ($line->state) {
            LookUp::ASKED => 'no answer yet',
            LookUp::NOTHING => 'knows none',
            LookUp::FOUND => match (true) {
                $line->fact !== null => Format::figure($line->fact, (float) $line->value),
                default => ($line->value ?? 'erased').($line->verdict === null ? '' : ', '.$line->verdict->label()),
            },
            LookUp::FAILED => $line->price > 0
                ? 'did not answer; it is set aside, since it may have been taken' : 'had a fault of its own',
            default => '',
        };
    }

    private static function who(LookUp $line): string
    {
        return $line->fact === null ? $line->contact?->name() ?? 'somebody erased'
            : ($line->account->name ?? 'a company that is gone').", {$line->fact->label()}";
    }

    /**
     * @return list<array{line: LookUp, service: string, who: string, by: string, says: string, price: string}>
     */
    public function rows(): array
    {
        return array_map(fn (LookUp $line): array => [
            'line' => $line, 'service' => $line->service->name, 'who' => self::who($line),
            'by' => $line->user->name ?? 'somebody', 'says' => self::says($line),
            'price' => Format::worth($line->price),
        ], array_values($this->lines->items()));
    }
}
