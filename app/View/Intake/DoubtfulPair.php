<?php

declare(strict_types=1);

namespace App\View\Intake;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Double;
use App\Support\Format;
use Illuminate\Support\Collection;

/** Two records that may be one, side by side. */
final readonly class DoubtfulPair
{
    private const DECIDED = 5;

    private function __construct(public Double $double, public Account|Contact $first, public Account|Contact $second)
    {
    }

    /** @return list<self> */
    public static function open(int $most): array
    {
        return self::of(
            Double::query()->where('state', 'open')->orderByDesc('score')->orderBy('id')->limit($most)->get(),
        );
    }

    /** @return list<self> those decided last */
    public static function decided(): array
    {
        return self::of(
            Double::query()->with('user')->where('state', '<>', 'open')->latest('updated_at')->limit(self::DECIDED)
                ->get(),
        );
    }

    public static function url(Account|Contact $record): string
    {
        return $record instanceof Account ? route('accounts.show', $record) : route('contacts.show', $record);
    }

    public static function line(Account|Contact $record): string
    {
        return $record instanceof Account
            ? collect(
                [
                    $record->domain, $record->headquarters()?->city,
                    $record->headcount === null ? null : number_format($record->headcount).' heads',
                    Format::count($record->contacts_count ?? 0, 'contact'),
                ],
            )->filter()->implode(' · ')
            : collect(
                [
                    $record->title, $record->account->name, $record->channels->pluck('value')->implode(', '),
                    $record->source,
                ],
            )->filter()->implode(' · ');
    }

    /**
     * @param  Collection<int, double>  $doubles
     * @return list<self>
     */
    private static function of(Collection $doubles): array
    {
        $ids = fn (string $record): array => $doubles->where('record', $record)
            ->flatMap(fn (Double $double): array => [$double->first_id, $double->second_id])->all();
        $records = [
            'account' => Account::query()->with('places')->withCount('contacts')->whereIn('id', $ids('account'))->get()
                ->keyBy('id'),
            'contact' => Contact::query()->with('channels', 'account')->whereIn('id', $ids('contact'))->get()
                ->keyBy('id'),
        ];
        $pairs = [];
        foreach ($doubles as $double) {
            $first = $records[$double->record][$double->first_id] ?? null;
            $second = $records[$double->record][$double->second_id] ?? null;
            if ($first !== null && $second !== null) {
                $pairs[] = new self($double, $first, $second);
            }
        }

        return $pairs;
    }
}
