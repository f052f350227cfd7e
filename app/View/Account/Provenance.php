<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Models\Account;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Which file, or whose hand, a fact of an account is from, and of which day: the last that said it. */
final readonly class Provenance
{
    /** @param  array<string, string>  $changed  field → from where */
    private function __construct(private array $changed, private string $first)
    {
    }

    public static function of(Account $account): self
    {
        $changed = [];
        $rows = DB::table('intake_changes')->join('intakes', 'intakes.id', '=', 'intake_changes.intake_id')
            ->where('record', 'account')->where('record_id', $account->id)->whereNotNull('after')
            ->orderBy('intake_changes.id')->get(['intakes.name', 'intakes.finished_at', 'after']);
        foreach ($rows as $row) {
            $day = $row->finished_at === null ? null : Format::date(CarbonImmutable::parse($row->finished_at));
            foreach (array_keys((array) json_decode((string) $row->after, true)) as $field) {
                $changed[$field] = Format::line($row->name, $day);
            }
        }

        return new self($changed, Format::line(
            $account->source ?? 'source unknown',
            $account->seen_at === null ? null : 'seen '.Format::date($account->seen_at),
        ));
    }

    public function from(string $field): string
    {
        return $this->changed[$field] ?? $this->first;
    }
}
