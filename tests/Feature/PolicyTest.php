<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\Decision;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\KeptList;
use App\Models\Note;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Role;
use App\Models\RuleSet;
use App\Models\Station;
use App\Models\Tag;
use App\Models\TitleLesson;
use App\Models\User;
use App\Models\Watch;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Gate;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Who may do what with whose records: a rep with their own and with another's, a lead, an admin. */
final class PolicyTest extends TestCase
{
    private const EVERYBODY = [true, true, true, true];

    private const OWNER = [true, false, false, false];

    private const OWNER_OR_LEAD = [true, false, true, true];

    private const LEADS = [false, false, true, true];

    /** @return iterable<string, array{string, callable(self): mixed, list<bool>}> deed, on what, who may */
    public static function deeds(): iterable
    {
        $team = [
            'accounts' => Account::class, 'contacts' => Contact::class, 'keep-outs' => KeepOut::class,
            'lists' => KeptList::class, 'reasons' => Reason::class, 'tags' => Tag::class, 'notes' => Note::class,
        ];
        foreach ($team as $name => $model) {
            yield "looking at $name" => ['viewAny', fn (): string => $model, self::EVERYBODY];
            yield "making $name" => ['create', fn (): string => $model, self::EVERYBODY];
        }
        $leads = [
            'offers' => Offer::class, 'rules' => RuleSet::class, 'people' => User::class,
            'lessons' => TitleLesson::class,
        ];
        foreach ($leads as $name => $model) {
            yield "making $name" => ['create', fn (): string => $model, self::LEADS];
        }
        yield 'looking at rules' => ['viewAny', fn (): string => RuleSet::class, self::LEADS];
        yield 'looking at the team' => ['viewAny', fn (): string => User::class, self::LEADS];
        yield 'changing an offer' => ['update', fn (self $test): Offer => $test->offer, self::LEADS];
        yield 'erasing somebody' => ['erase', fn (): Contact => Contact::factory()->create(), self::LEADS];
        yield 'correcting somebody' => ['update', fn (): Contact => Contact::factory()->create(), self::EVERYBODY];
        yield 'forgetting a title' => ['delete', fn (): TitleLesson => TitleLesson::factory()->create(), self::LEADS];

        $own = fn (string $model, string $column = 'user_id'): callable => fn (self $test): Model => $model::factory()
            ->create([$column => $test->rep->id]);
        yield 'deciding on an account of mine' => ['decide', $own(Account::class, 'owner_id'), self::OWNER_OR_LEAD];
        yield 'deciding on nobody’s' => ['decide', fn (): Account => Account::factory()->create(), self::EVERYBODY];
        yield 'changing a list of mine' => ['update', $own(KeptList::class), self::OWNER_OR_LEAD];
        yield 'changing nobody’s list' => ['update', fn (): KeptList => KeptList::factory()->create(), self::EVERYBODY];
        yield 'changing a watch of mine' => ['update', $own(Watch::class), self::OWNER_OR_LEAD];
        yield 'telling what came of an approach' => ['update', $own(Approach::class), self::OWNER_OR_LEAD];
        yield 'ending a keep-out of mine' => ['delete', $own(KeepOut::class), self::OWNER_OR_LEAD];
        yield 'taking back a note' => ['delete', $own(Note::class), self::OWNER];
        yield 'taking back a reason' => ['delete', $own(Reason::class), self::OWNER];
        yield 'taking back a decision' => ['delete', fn (self $test): Decision => Decision::query()->create([
            'account_id' => Account::factory()->create()->id, 'offer_id' => $test->offer->id,
            'user_id' => $test->rep->id, 'decision' => 'kept',
        ]), self::OWNER_OR_LEAD];
        yield 'undoing a file' => [
            'undo', fn (self $test): Intake => $test->bring(IntakeKind::Accounts, "domain;name\na.example;A\n"),
            self::OWNER_OR_LEAD,
        ];
        yield 'looking at a file of accounts' => [
            'view', fn (self $test): Intake => $test->bring(IntakeKind::Accounts, "domain;name\na.example;A\n"),
            self::EVERYBODY,
        ];
        yield 'looking at an address book of mine' => ['view', fn (self $test): Intake => $test->bring(
            IntakeKind::Relations, "email;name\nida@a.example;Ida Lie\n",
        ), self::OWNER];
        yield 'taking back where I was' => ['delete', fn (self $test): Station => Station::query()->create([
            'user_id' => $test->rep->id, 'brought_by' => $test->rep->id, 'kind' => 'school', 'name' => 'Fjernlund',
        ]), self::OWNER];
    }

    /**
     * @param  callable(self): mixed  $on
     * @param  list<bool>  $may  the owner, another rep, a lead, an admin
     */
    #[DataProvider('deeds')]
    public function test_who_may(string $deed, callable $on, array $may): void
    {
        $subject = $on($this);
        $people = [$this->rep, $this->person('Anton', Role::Rep), $this->lead, $this->person('Berit', Role::Admin)];
        self::assertSame(
            $may,
            array_map(fn (User $person): bool => Gate::forUser($person)->allows($deed, [$subject]), $people),
        );
    }

    /** @return array<string, array{Role, Role, bool}> who changes whom */
    public static function promotions(): array
    {
        return [
            'a rep a rep' => [Role::Rep, Role::Rep, false], 'a lead a rep' => [Role::Lead, Role::Rep, true],
            'a lead a lead' => [Role::Lead, Role::Lead, true], 'a lead an admin' => [Role::Lead, Role::Admin, false],
            'an admin a lead' => [Role::Admin, Role::Lead, true],
            'an admin an admin' => [Role::Admin, Role::Admin, true],
        ];
    }

    #[DataProvider('promotions')]
    public function test_admins_are_changed_by_admins_only(Role $by, Role $whom, bool $may): void
    {
        $person = $this->person('Berit', $whom);
        self::assertSame($may, $this->person('Cecilia', $by)->can('update', $person));
    }

    public function test_one_speaks_for_oneself_and_those_who_never_sign_in(): void
    {
        $leader = $this->person('Dagny', Role::Rep);
        self::assertFalse($this->rep->can('createFor', [Station::class, $leader]));
        $leader->update(['signs_in' => false]);
        self::assertTrue($this->rep->can('createFor', [Station::class, $leader]));
        self::assertTrue($this->rep->can('createFor', [Station::class, $this->rep]));
        self::assertFalse($this->lead->can('createFor', [Station::class, $this->rep]));
        self::assertSame([$this->rep->id => 'Mira', $leader->id => 'Dagny'], $this->rep->speaksFor());
    }

    public function test_whose_it_is_stands_in_what_is_refused(): void
    {
        $anton = $this->person('Anton', Role::Rep);
        $list = KeptList::factory()->create(['user_id' => $this->rep->id]);
        $watch = Watch::factory()->create(['user_id' => $this->rep->id]);
        $account = Account::factory()->create(['owner_id' => $this->rep->id]);
        foreach ([['update', $list], ['update', $watch], ['decide', $account]] as [$deed, $record]) {
            self::assertStringContainsString(
                'Mira',
                (string) Gate::forUser($anton)->inspect($deed, [$record])->message(),
            );
        }
    }
}
