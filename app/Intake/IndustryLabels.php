<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\IndustryLabel;
use App\Models\User;
use App\Support\AccountIds;
use App\Support\Together;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Industries;
use Luftig\Core\Text\Fold;

/** Maps industry labels to ISIC: what is sure at once, what a person decided before, and the rest to decide. */
final class IndustryLabels
{
    /** @var array<string, array{string|null, int|null}> label → code, label id */
    private array $known = [];

    /**
     * @return array{string|null, int|null} the code, and the label's id where a person decides or decided
     */
    public function read(string $label): array
    {
        return $this->known[$label] ??= $this->find(mb_substr(implode(' ', Fold::words($label)), 0, 190), $label);
    }

    /** Decides a label, for the accounts that carry it and all later files. */
    public static function decide(IndustryLabel $label, string $code, User $by): void
    {
        Together::write(function () use ($label, $code, $by): void {
            $label->update(['code' => $code, 'decided_by' => $by->id]);
            DB::table('account_industry')->where('label_id', $label->id)->update(['code' => $code]);
            AccountIds::markStale(
                DB::table('account_industry')->where('label_id', $label->id)->pluck('account_id')->all(),
            );
        }, $label);
    }

    /** @return array{string|null, int|null} */
    private function find(string $folded, string $label): array
    {
        if ($folded === '') {
            return [null, null];
        }
        $decided = IndustryLabel::query()->where('label', $folded)->first();
        if ($decided !== null) {
            return [$decided->code, $decided->id];
        }
        [$code, $sure] = Industries::read($label);
        if ($sure) {
            return [$code, null];
        }

        return [null, IndustryLabel::query()->create(['label' => $folded, 'suggested' => $code])->id];
    }
}
