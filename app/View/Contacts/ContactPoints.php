<?php

declare(strict_types=1);

namespace App\View\Contacts;

use App\Models\Account;
use App\Models\Contact;
use App\Standings\SignalLine;
use App\Support\Format;
use App\View\Account\BuyingGroup;
use App\View\PointLine;
use Luftig\Core\Priority\ContactPoints as Rule;
use Luftig\Core\Priority\RankedContact;

/** Why a contact has the priority they have, line by line (rule 8). */
final readonly class ContactPoints
{
    private Rule $sum;

    /** @param  list<SignalLine>  $lines  all of the account's */
    public function __construct(
        private Account $account,
        private Contact $contact,
        private RankedContact $ranked,
        private BuyingGroup $group,
        private array $lines,
    ) {
        $this->sum = Rule::of($ranked->role->value, $ranked->push, $ranked->access, $ranked->own, $ranked->role->match);
    }

    /** @return list<PointLine> */
    public function lines(): array
    {
        return [new PointLine('Everybody starts at', Rule::START), $this->role(), $this->push(), $this->access()];
    }

    public function total(): string
    {
        return Format::points($this->sum->total());
    }

    public function remark(): string
    {
        return 'Priority '.Format::tenths($this->ranked->priority).' = 100 ÷ (1 + e^(−points ÷ 10)).';
    }

    private function role(): PointLine
    {
        $role = $this->ranked->role;
        $match = match (true) {
            $role->match >= 1 => 'in the role',
            $role->match >= .5 => 'general management',
            $role->match >= .4 => 'a neighbouring function',
            default => 'another function',
        };
        $standing = $role->title->seniority->label().', '.Format::heads($this->account->headcount);

        return new PointLine(
            "Part in buying: {$role->buyerRole->name}",
            $this->sum->role,
            (int) Rule::ROLE.' × Role '.Format::part($role->value).', the product of:',
            [
                ["weight of {$role->buyerRole->name}", '', Format::part($role->buyerRole->weight)],
                ['function match', $match, Format::part($role->match)],
                [
                    '√(authority '.Format::part($role->authority).' × accessibility '.Format::part($role->accessibility)
                        .')',
                    $standing,
                    Format::part(sqrt($role->authority * $role->accessibility)),
                ],
            ],
        );
    }

    private function push(): PointLine
    {
        $says = (int) Rule::ROLE.' × Role '.Format::part($this->ranked->role->value).' × push '
            .Format::part($this->ranked->push)
            .'. Their own signals, and those that concern their function, count in full; the account’s others half; '
            .'what somebody else engaged with a quarter.'.$this->champion();

        return new PointLine('What happened there', $this->sum->push, $says,
            array_map(function (SignalLine $line): array {
                $share = $this->group->shareOf($line, $this->contact);
                $says = $this->group->inFull($line->signal->id, $this->contact) ?? ($share < .5 ? 'a quarter' : 'half');

                return [$line->signal->title, $says, Format::part($line->push * $share)];
            }, $this->lines));
    }

    /** What their own signals count beyond their role. */
    private function champion(): string
    {
        $role = $this->ranked->role;
        $more = $role->match >= Rule::MATCH
            ? Rule::ROLE * max(0.0, Rule::OWN - $role->value) * $this->ranked->own
            : 0.0;

        return $more === 0.0 ? '' : ' For their own signals, push '.Format::part($this->ranked->own)
            .', they are worth at least a champion: '.Format::points($more).' more.';
    }

    private function access(): PointLine
    {
        return new PointLine(
            $this->ranked->access > 0 ? 'Can be reached' : 'No way to reach them',
            $this->sum->access,
            (int) Rule::ACCESS.' × Access '.Format::part($this->ranked->access),
            $this->contact->intro > 0 ? [[
                'the best way through one of us', 'counts up to .9', Format::part($this->contact->intro),
            ]] : [],
        );
    }
}
