<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Models\Alert;
use App\Models\AlertAbout;
use App\Models\AlertedSignal;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\PrivateAddress;
use App\Models\User;
use App\Support\Format;
use Illuminate\Support\Arr;
use Illuminate\Support\Collection;
use Luftig\Core\Signal\Kind;

/** The alerts of somebody, and what was told lately. */
final readonly class AlertsPage
{
    public const WAYS = ['on_today' => 'on Today', 'by_mail' => 'by mail', 'in_feed' => 'in your feed'];

    private const TOLD = 20;

    /**
     * @param  Collection<int, Alert>  $alerts
     * @param  Collection<int, AlertedSignal>  $told
     */
    private function __construct(
        public User $user,
        private Offer $offer,
        public Collection $alerts,
        public Collection $told,
        private ?PrivateAddress $address,
    ) {
    }

    public static function of(Offer $offer, User $user): self
    {
        return new self(
            $user,
            $offer,
            Alert::query()->with('list', 'account', 'offer')->where('user_id', $user->id)->orderBy('id')->get(),
            AlertedSignal::query()->told($user)->limit(self::TOLD)->get(),
            PrivateAddress::of($user, PrivateAddress::ALERTS),
        );
    }

    /** “funding and hiring of accounts that are mine, on Today and by mail” */
    public static function says(Alert $alert): string
    {
        $kinds = array_map(fn (string $kind): string => Kind::from($kind)->label(), $alert->kinds ?? []);
        $whose = match ($alert->about) {
            AlertAbout::List => "the list “{$alert->list?->name}”",
            AlertAbout::Account => $alert->account->name ?? 'an account',
            default => $alert->about->label(),
        };
        $ways = array_filter(self::WAYS, fn (string $way): bool => $alert->$way === true, ARRAY_FILTER_USE_KEY);

        return ($kinds === [] ? 'all that counts' : Arr::join($kinds, ', ', ' and '))." of $whose, "
            .Arr::join($ways, ', ', ' and ');
    }

    /** Of which offer it is, where there are several. */
    public function offer(Alert $alert): ?string
    {
        return $alert->offer_id === $this->offer->id ? null : $alert->offer->name;
    }

    /** @return array<string, mixed> as the form would send it */
    public static function fields(Alert $alert): array
    {
        return [
            'about' => $alert->about->value, 'kinds' => $alert->kinds, 'list_id' => $alert->list_id,
            'account_id' => $alert->account_id, 'ways' => array_values(array_filter(
                array_keys(self::WAYS),
                fn (string $way): bool => $alert->$way === true,
            )),
        ];
    }

    /** @return array<string, string> */
    public function abouts(): array
    {
        $abouts = [];
        foreach (AlertAbout::cases() as $about) {
            if ($about !== AlertAbout::Account && ($about !== AlertAbout::List || $this->lists() !== [])) {
                $abouts[$about->value] = $about->label();
            }
        }

        return $abouts;
    }

    /** @return array<int|string, string> */
    public function lists(): array
    {
        return KeptList::query()->where('offer_id', $this->offer->id)->orderBy('name')->pluck('name', 'id')->all();
    }

    /** @return array<string, string> */
    public function kinds(): array
    {
        return array_combine(
            array_column(Kind::cases(), 'value'),
            array_map(fn (Kind $kind): string => ucfirst($kind->label()), Kind::cases()),
        );
    }

    /** When the address of the feed was made, if there is one. */
    public function madeAt(): ?string
    {
        return $this->address === null ? null : Format::ago($this->address->made_at);
    }
}
