<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Models\Account;
use App\Models\Contact;
use App\View\Account\BuyingGroup;
use App\View\Account\GroupParts;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** The people of an account who matter, by their part, and whom of them to contact now. */
final class Group extends Component
{
    public readonly GroupParts $parts;

    /** @var array<int, string> contact → name, for who reports to whom */
    public readonly array $names;

    public function __construct(
        public readonly Account $account,
        public readonly BuyingGroup $group,
        ?Contact $moved = null,
    ) {
        $this->parts = new GroupParts($group, $account->headcount, $moved);
        $this->names = $this->parts->names();
    }

    public function render(): View
    {
        return view('components.group');
    }
}
