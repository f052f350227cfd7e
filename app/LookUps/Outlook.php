<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Models\Contact;
use App\Models\LookUp;
use App\Models\LookUpService;
use Luftig\Core\Buying\Authority;

/** What asking for some people would take at most, and what is to be expected of it. */
final readonly class Outlook
{
    private function __construct(public int $people, public float $most, public float $cost, public float $found)
    {
    }

    /** @param  list<Contact>  $contacts */
    public static function of(array $contacts): self
    {
        $services = LookUpService::query()->that(LookUpService::FINDS)->get();
        $records = new Records;
        $known = self::answered($contacts);
        $most = $cost = $found = 0.0;
        foreach ($contacts as $contact) {
            $still = 1.0;
            $country = $contact->account->headquarters()?->country;
            $size = Authority::sizeClass($contact->account->headcount);
            foreach ($services as $service) {
                if (isset($known["{$contact->id}|{$service->id}"])) {
                    continue;
                }
                $chance = $records->chance($service, $country, $size);
                $most += $service->price;
                $cost += $still * $chance * $service->price;
                $still *= 1 - $chance;
            }
            $found += 1 - $still;
        }

        return new self(count($contacts), $most, $cost, $found);
    }

    /**
     * Questions whose answer still holds; they take nothing.
     *
     * @param  list<Contact>  $contacts
     * @return array<string, true> contact|service
     */
    private static function answered(array $contacts): array
    {
        $known = [];
        foreach (array_chunk(array_map(fn (Contact $one): int => $one->id, $contacts), 1000) as $some) {
            foreach (
                LookUp::query()->lately()->whereIn('state', [LookUp::FOUND, LookUp::NOTHING])
                    ->whereIn('contact_id', $some)->get(['contact_id', 'look_up_service_id']) as $one
            ) {
                $known["{$one->contact_id}|{$one->look_up_service_id}"] = true;
            }
        }

        return $known;
    }
}
