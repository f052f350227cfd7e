<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use App\Models\User;
use App\Network\Acquaintance;
use App\Network\AcquaintanceSpread;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Mistake;

/**
 * Whom we can reach, through whose relations, in how many steps. It names people, so that a search means the same to
 * whoever opens it.
 */
final readonly class Reachability
{
    private const GROUPS = [
        'anyone' => 'anyone of us',
        'mates' => 'those who sign in',
        'leaders' => 'our leaders, who do not sign in',
    ];

    /** A path has at most three edges (rule 10). */
    private const MOST = 3;

    /**
     * @param  string  $whose  the id of one of us, or a group
     * @param  int|null  $steps  null: has worked where they worked
     * @param  bool  $new  without those whom they know themselves
     */
    private function __construct(private string $whose, private ?int $steps, private bool $new)
    {
    }

    public static function from(string $whose, string $steps, bool $new): self
    {
        if (! isset(self::GROUPS[$whose]) && ! ctype_digit($whose)) {
            throw new Mistake('Choose through whom.');
        }
        if ($steps !== 'worked' && (! ctype_digit($steps) || $steps < 1 || $steps > self::MOST)) {
            throw new Mistake('Choose in how many steps, from 1 to 3.');
        }

        return new self($whose, $steps === 'worked' ? null : (int) $steps, $new);
    }

    public static function fromName(string $name): self
    {
        [$whose, $steps, $new] = explode('-', $name) + [1 => '1', 2 => ''];

        return self::from($whose, $steps, $new === 'new');
    }

    /** How the index calls the set. */
    public function named(): string
    {
        return "contact:reach-{$this->whose}-".($this->steps ?? 'worked').($this->new ? '-new' : '');
    }

    /** @return array<string, string> the groups, and each of us */
    public static function choices(User $me): array
    {
        return [(string) $me->id => 'mine']
            + self::GROUPS
            + User::query()->whereKeyNot($me->id)->orderBy('name')->pluck('name', 'id')->all();
    }

    public function says(): string
    {
        $who = self::GROUPS[$this->whose] ?? User::query()->find((int) $this->whose)->name ?? 'somebody who is gone';
        $how = match ($this->steps) {
            null => "worked where $who worked",
            1 => "known to $who",
            default => "through $who, in at most {$this->steps} steps",
        };

        return $how.($this->new ? ', not known yet' : '');
    }

    /** Changes with whatever may say who knows whom. */
    public static function stamp(Offer $offer): string
    {
        return Indexes::stamp($offer).' '.Acquaintance::stamp();
    }

    /**
     * Asked again only when something changed that may say who knows whom: to go over thousands of people takes
     * seconds.
     *
     * @param  string|null  $stamp  where many are asked at once
     * @return list<int> contacts
     */
    public function ids(Offer $offer, ?string $stamp = null): array
    {
        $stamp ??= self::stamp($offer);
        [$known, $ids] = Cache::get($key = "{$this->named()} ".DB::getDatabaseName(), ['', '']);
        if ($known !== $stamp) {
            $found = $this->found();
            sort($found);
            $ids = pack('V*', ...$found);
            Cache::put($key, [$stamp, $ids], now()->addDay());
        }

        return array_values(unpack('V*', $ids) ?: []);
    }

    /** @return list<int> */
    private function found(): array
    {
        $users = array_values(match ($this->whose) {
            'anyone' => User::query()->pluck('id')->all(),
            'mates' => User::query()->where('signs_in', true)->pluck('id')->all(),
            'leaders' => User::query()->where('signs_in', false)->pluck('id')->all(),
            default => [(int) $this->whose],
        });
        $known = Acquaintance::by($users);
        $reached = $this->steps === null
            ? Acquaintance::whereWorked($users)
            : AcquaintanceSpread::from($known, $this->steps - 1);

        return $this->new ? array_values(array_diff($reached, $known)) : $reached;
    }
}
