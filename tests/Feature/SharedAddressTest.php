<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Channel;
use App\Models\Contact;
use App\Models\Double;
use App\Models\Intake;
use App\Models\IntakeKind;
use Tests\TestCase;

/** Nobody is overwritten by somebody else: addresses that several have, names that several have. */
final class SharedAddressTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->bring(IntakeKind::Accounts, "domain;name\na.example;A\nb.example;B\n");
    }

    public function test_an_address_of_two_people_is_shared_in_one_file_as_over_several(): void
    {
        $this->contacts("Ida;Lie;haus.drei@a.example;valid;\nPer;Askov;haus.drei@a.example;valid;\n");
        self::assertSame(['Ida', 'Per'], $this->first());
        self::assertSame(['shared', 'shared'], $this->states());

        $this->contacts("Nils;Rye;n.rye@a.example;valid;\n");
        $this->contacts("Ann;Dahl;n.rye@a.example;valid;\n");
        self::assertSame(['Ida', 'Per', 'Nils', 'Ann'], $this->first());
        self::assertSame(['shared', 'shared', 'shared', 'shared'], $this->states());
        self::assertSame(0, Double::query()->count(), 'two names that have nothing in common are two people');

        $again = $this->contacts("Nils;Rye;n.rye@a.example;valid;\n");
        self::assertSame([0, 0, 1], [$again->created, $again->updated, $again->unchanged]);
    }

    public function test_half_a_name_in_common_is_for_somebody_to_decide(): void
    {
        $this->contacts("Ida;Lie;i.lie@a.example;;\n");
        $this->contacts("Ida;Askov;i.lie@a.example;;\n");
        self::assertSame(['Ida', 'Ida'], $this->first());
        self::assertSame(
            ['Both have one address.', 'One of their two names is another.'],
            Double::query()->sole()->because,
        );
    }

    public function test_the_same_person_is_found_by_address_at_another_account_and_keeps_the_fuller_name(): void
    {
        $this->contacts("Ida Marie;Lie;i.lie@a.example;;Planner\n");
        $intake = $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;email;title\nb.example;I.;Lie;i.lie@a.example;Head of Planning\n",
        );
        self::assertSame([0, 1], [$intake->created, $intake->updated]);
        $contact = Contact::query()->sole();
        self::assertSame(
            ['Ida Marie', 'Head of Planning', 'b.example'],
            [$contact->first_name, $contact->title, $contact->account->domain],
        );
    }

    public function test_which_of_two_namesakes_is_meant_waits(): void
    {
        $this->contacts("Ida;Lie;ida@a.example;;\nIda;Lie;i.lie@a.example;;\n");
        self::assertSame(2, Contact::query()->count());
        $intake = $this->contacts("Ida;Lie;;;Planner\n");
        self::assertSame([0, 0, 1], [$intake->created, $intake->updated, $intake->waiting]);
        self::assertSame([null, null], Contact::query()->orderBy('id')->pluck('title')->all());
    }

    public function test_a_profile_of_somebody_else_waits(): void
    {
        $rows = fn (string $first, string $last): Intake => $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;profile\na.example;$first;$last;people.example/ida\n",
        );
        $rows('Ida', 'Lie');
        self::assertSame(1, $rows('Per', 'Askov')->waiting);
        self::assertSame(1, $rows('Ida', 'Askov')->updated, 'who married has the same profile');
        self::assertSame(['Ida Askov'], Contact::query()->get()->map->name()->all());
    }

    public function test_a_later_row_of_a_file_adds_but_does_not_contradict(): void
    {
        $intake = $this->contacts(
            "Ida;Lie;ida@a.example;;Planner\nIda;Lie;ida@a.example;valid;\nIda;Lie;ida@a.example;invalid;Welder\n",
        );
        self::assertSame([1, 1, 1], [$intake->created, $intake->updated, $intake->waiting]);
        self::assertSame(
            'A row before it says otherwise of Ida Lie: title, state of the address.',
            $intake->rejections()->sole()->reason,
        );
        self::assertSame(['Planner', ['valid']], [Contact::query()->sole()->title, $this->states()]);
    }

    public function test_a_checker_sets_addresses_of_people_who_are_there(): void
    {
        $this->contacts("Ida;Lie;ida@a.example;;\nPer;Askov;praxis@a.example;;\nAnn;Dahl;praxis@a.example;;\n");
        $check = fn (string $rows): Intake => $this->bring(IntakeKind::Checks, "address;verdict\n$rows");
        $intake = $check("IDA@a.example;valid\nida@a.example;valid\npraxis@a.example;valid\nnobody@a.example;valid\n"
            ."ida@;valid\nper@a.example;purple\n");
        self::assertSame([0, 1, 2, 3], [
            $intake->created, $intake->updated, $intake->unchanged, $intake->rejected,
        ]);
        self::assertSame(['valid', 'shared', 'shared'], $this->states());
        $check("praxis@a.example;invalid\n");
        self::assertSame(['valid', 'invalid', 'invalid'], $this->states());
    }

    private function contacts(string $rows): Intake
    {
        $lines = implode("\n", array_map(fn (string $row): string => "a.example;$row", explode("\n", rtrim($rows))));

        return $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;email;email state;title\n$lines\n",
        );
    }

    /** @return list<string> */
    private function first(): array
    {
        return Contact::query()->orderBy('id')->pluck('first_name')->all();
    }

    /** @return list<string> */
    private function states(): array
    {
        return Channel::query()->where('type', 'email')->orderBy('id')->get()
            ->map(fn (Channel $channel): string => (string) $channel->state?->value)->all();
    }
}
