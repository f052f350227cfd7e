<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Feeds\Fetcher;
use App\Feeds\Unreachable;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Figure;
use App\Models\LookUpService;
use Luftig\Core\Reach\AddressState;

/** A service that is asked in JSON over the web (docs/look-ups.md). */
final readonly class JsonService implements ChecksAddresses, FindsAddresses, KnowsCompanies
{
    private const BYTES = 100_000;

    private const LONGEST = 190;

    /** No question is so dear that an answer may say so. */
    private const DEAREST = 10_000;

    private Fetcher $fetcher;

    public function __construct(private LookUpService $service, ?Fetcher $fetcher = null)
    {
        $this->fetcher = $fetcher ?? new Fetcher(self::BYTES, config()->integer('luftig.look_up_seconds'));
    }

    public function find(Contact $contact, string $mark): Found
    {
        $says = $this->ask('find', [
            'first_name' => $contact->first_name, 'last_name' => $contact->last_name,
            'domain' => (string) $contact->account->domain, 'company' => $contact->account->name,
        ], ['Idempotency-Key' => $mark]);
        $address = $says['email'] ?? null;
        $price = $this->price($says);
        if ($address === null || $address === '') {
            return new Found(null, $price);
        }
        if (
            ! is_string($address) || mb_strlen($address) > self::LONGEST
            || filter_var($address, FILTER_VALIDATE_EMAIL) === false
        ) {
            throw new Unreachable('What it calls an address is none.');
        }

        return new Found(mb_strtolower($address), $price);
    }

    public function know(Account $account, Figure $figure, string $mark): Found
    {
        $says = $this->ask('know', [
            'figure' => $figure->value, 'domain' => (string) $account->domain, 'company' => $account->name,
            'country' => (string) $account->headquarters()?->country,
        ], ['Idempotency-Key' => $mark]);
        $value = $says['value'] ?? null;
        if ($value !== null && $figure->read($value) === null) {
            throw new Unreachable('What it calls a figure is none.');
        }

        return new Found($figure->read($value), $this->price($says));
    }

    public function check(string $address): AddressState
    {
        return $this->state($address, 'check');
    }

    public function again(string $address): AddressState
    {
        return $this->state($address, 'again');
    }

    /** @param  array<array-key, mixed>  $says */
    private function price(array $says): float
    {
        $price = $says['price'] ?? $this->service->price;
        if (! is_numeric($price) || $price < 0 || $price > self::DEAREST) {
            throw new Unreachable('What it says it took is no number of credits.');
        }

        return (float) $price;
    }

    private function state(string $address, string $path): AddressState
    {
        $state = $this->ask($path, ['email' => $address])['state'] ?? null;

        return (is_string($state) ? AddressState::tryFrom($state) : null)
            ?? throw new Unreachable('What it says of an address is no state that we know.');
    }

    /**
     * @param  array<string, string>  $says
     * @param  array<string, string>  $headers
     * @return array<array-key, mixed>
     */
    private function ask(string $path, array $says, array $headers = []): array
    {
        $secret = $this->service->secret;

        return $this->fetcher->post(
            rtrim($this->service->address, '/')."/$path",
            $says,
            $headers + ($secret === null || $secret === '' ? [] : ['Authorization' => "Bearer $secret"]),
        );
    }
}
