<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Models\KeptList;
use App\Models\Offer;
use Illuminate\Support\Facades\Gate;
use Luftig\Core\Search\Subject;

/** The lists that somebody can put accounts or contacts on. */
final class ListChoices
{
    private const MOST = 200;

    /** @return array<int|string, string> list → name; first: a new one */
    public static function of(Offer $offer, Subject $subject): array
    {
        return ['' => 'a new list'] + KeptList::query()->with('user')->where('offer_id', $offer->id)
            ->where('subject', $subject->value)->latest('id')->limit(self::MOST)->get()
            ->filter(fn (KeptList $list): bool => Gate::allows('update', $list))->pluck('name', 'id')->all();
    }
}
