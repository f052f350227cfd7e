<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Console\Commands\SealAnew;
use App\Contacts\EraseContact;
use App\Contacts\Fingerprints;
use App\Models\Contact;
use App\Models\EventTarget;
use App\Models\LookUpService;
use App\Models\User;
use App\Support\SecondFactor;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** The key of the program is replaced: what it sealed is opened by the next, and what it hashed is known by it. */
final class KeyTest extends TestCase
{
    private const FACTOR = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';

    public function test_what_was_sealed_with_the_key_before_is_sealed_with_the_next(): void
    {
        $service = LookUpService::factory()->create(['secret' => 'a key of theirs']);
        $target = EventTarget::factory()->create(['secret' => 'what signs']);
        SecondFactor::begin($this->rep, self::FACTOR, 1);
        $this->key('n', 'k');
        $this->artisan('luftig:seal')->expectsOutput('3 secrets are sealed anew.')->assertSuccessful();
        $this->key('n');
        self::assertSame(
            ['a key of theirs', 'what signs', self::FACTOR],
            [$service->fresh()?->secret, $target->fresh()?->secret, $this->rep->fresh()?->second_factor],
        );
        $this->key('k');
        $this->expectException(DecryptException::class);
        $service->fresh()?->secret;
    }

    public function test_what_no_key_here_opens_is_named_and_the_rest_is_done(): void
    {
        $service = LookUpService::factory()->create(['secret' => 'a key of theirs']);
        SecondFactor::begin($this->rep, self::FACTOR, 1);
        $this->key('x');
        DB::table('look_up_services')->update(['secret' => Crypt::encryptString('sealed elsewhere')]);
        $this->key('n', 'k');
        $this->artisan('luftig:seal')
            ->expectsOutput("secret of row {$service->id} in look_up_services was sealed with a key that is not here.")
            ->expectsOutput('One secret is sealed anew.')->assertFailed();
        $this->key('x');
        self::assertSame('sealed elsewhere', $service->fresh()?->secret, 'it stays as it was');
    }

    public function test_codes_on_paper_and_whoever_was_erased_are_known_by_the_keys_before(): void
    {
        $codes = SecondFactor::begin($this->rep, self::FACTOR, 1);
        $this->tunhede();
        $contact = Contact::query()->sole();
        EraseContact::erase($contact, $this->lead);
        $isErased = fn (): bool => (new Fingerprints)->isErased(
            'tunhede.example', $contact->first_name, (string) $contact->last_name, [],
        );
        self::assertTrue($isErased());
        $this->key('n', 'k');
        $this->artisan('luftig:seal')->assertSuccessful();
        $this->key('n');
        self::assertFalse($isErased());
        self::assertFalse(SecondFactor::accepts($this->rep, $codes[0]));
        $this->key('n', 'o', 'k');
        self::assertTrue($isErased());
        self::assertTrue(SecondFactor::accepts($this->rep, $codes[0]));
        self::assertFalse(SecondFactor::accepts($this->rep, $codes[0]), 'once');
        self::assertCount(7, $this->rep->refresh()->recovery_codes);
    }

    public function test_no_model_with_secrets_is_left_out(): void
    {
        $sealed = [];
        foreach (glob(app_path('Models/*.php')) ?: [] as $file) {
            if (str_contains((string) file_get_contents($file), "'encrypted")) {
                $sealed[] = 'App\\Models\\'.basename($file, '.php');
            }
        }
        self::assertEqualsCanonicalizing(SealAnew::SEALED, $sealed);
        self::assertContains(User::class, $sealed);
    }

    /** The key that is set, and those before it, of a letter each. */
    private function key(string $now, string ...$before): void
    {
        $key = fn (string $letter): string => 'base64:'.base64_encode(str_repeat($letter, 32));
        config(['app.key' => $key($now), 'app.previous_keys' => array_map($key, $before)]);
        app()->forgetInstance('encrypter');
        Crypt::clearResolvedInstance('encrypter');
    }
}
