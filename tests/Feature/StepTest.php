<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Search;
use App\Finder\StepForm;
use App\Support\Gazetteer;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** A step of a search as an address has it: what it says in words, and what is wrong with it. */
final class StepTest extends TestCase
{
    /** @return list<array{string, string}> */
    public static function readings(): array
    {
        return [
            ['f=country&v=Denmark;NO', 'Denmark, Norway'],
            ['f=country&v=DK&w=any', 'Denmark, any site'],
            ['f=industry&v=23, C', 'other non-metallic mineral products, manufacturing'],
            ['f=headcount&lo=50', 'from 50'],
            ['f=headcount&hi=100', 'up to 100'],
            ['f=headcount&lo=50&hi=100', '50 – 100'],
            ['f=revenue&lo=100&cur=SEK', 'from 100 SEK (1 EUR = 11.2)'],
            [
                'f=event&v=funding,hiring&st=fresh&rd=a,b&lo=1&hi=30&slo=.5&alo=1000&cur=DKK&n=2&q=line',
                'at least 2 · funding, hiring · fresh · round A, B · 1 – 30 days ago · from .5 strong · from 1000 '
                    .'DKK (1 EUR = 7.46) · line',
            ],
            ['f=event&v=news&w=person', 'of the person · news'],
            ['f=before&q=planner&q2=papir&lo=1&hi=12', 'planner · at papir · 1 – 12 months ago'],
            ['f=spending&lo=50000&w=.5', '50000 EUR at .5 % of revenue'],
            ['f=attribute&w=Shifts', 'shifts: any'],
            ['f=attribute&w=Shifts&v=three', 'shifts: three'],
            [
                'f=reach&w=leaders&n=2&new=1',
                'through our leaders, who do not sign in, in at most 2 steps, not known yet',
            ],
            ['f=reach&w=anyone&n=worked', 'worked where anyone of us worked'],
            ['f=kept_out', 'customers, competitors, agencies, keep-out'],
            ['f=near&q=Hobro&km=25', '25 km around Hobro'],
            ['f=near&q=Hobro&km=25&w=any', '25 km around Hobro, any site'],
            ['f=title&q=a OR b', 'a OR b'],
            ['f=words&q=pump&w=keywords,name', 'pump, in keywords or name'],
            ['f=words&q=pump&w=keywords,name,description,site', 'pump'],
            ['f=words&q=pump&w=site', 'pump, in what their pages say'],
            ['f=technology&v=A,B&all=1', 'A and B'],
            ['f=known_contacts&w=Plant&lo=2', 'from 2 in the role plant'],
            ['f=seniority&v=head,manager', 'head, manager'],
            ['f=function&v=it,customer_service', 'IT, customer service'],
            ['f=channel&v=email_checked,asked', 'e-mail, checked; asked to be contacted'],
            ['f=arrival&v=joined,unknown', 'new, joined; new, from where unknown'],
            ['f=origin&v=customer', 'a customer of ours'],
            ['f=owner&v=nobody', 'nobody'],
            ['f=work&v=new,in_work', 'new, in work'],
            ['f=list&v=999', 'a list that is gone'],
            ['f=city&v=a,b,c,d,e,f,g,h', 'a, b, c, d, e, f and 2 more'],
            ['f=part&v=signs_off', 'signs off'],
        ];
    }

    #[DataProvider('readings')]
    public function test_a_step_says_what_it_asks(string $address, string $says): void
    {
        self::assertSame($says, $this->step($address)->says());
    }

    /** @return list<array{string, string}> */
    public static function mistakes(): array
    {
        return [
            ['f=headcount', 'Give headcount a lower or an upper bound, the lower one not above the upper one.'],
            ['f=headcount&lo=many', '“many” is not a number.'],
            [
                'f=headcount&lo=100&hi=50',
                'Give headcount a lower or an upper bound, the lower one not above the upper one.',
            ],
            ['f=near&km=5', 'Name the place.'],
            [
                'f=near&q=Hobro',
                'The place “Hobro” is not known; take one of those suggested, or give latitude and longitude.',
            ],
            [
                'f=near&q=Nowhereville&km=5',
                'The place “Nowhereville” is not known; take one of those suggested, or give latitude and longitude.',
            ],
            ['f=title', 'The query is empty: give at least one word.'],
            ['f=title&q=(a', 'A parenthesis opens here and is not closed.'],
            ['f=event', 'Say at least one thing about a signal.'],
            ['f=event&v=news&w=nobody', 'Signals are those of the account, or of its people.'],
            ['f=event&v=news&n=0', 'How many: a whole number from 1.'],
            ['f=event&v=news&n=1.5', 'How many: a whole number from 1.'],
            ['f=before', 'Say at least one thing about a position before.'],
            ['f=spending&lo=5', 'Give the share of revenue that is usually spent on this, in per cent.'],
            ['f=spending&w=1', 'Give the price.'],
            ['f=spending&lo=5&w=0', 'A share is a number of per cent above 0, at most 100.'],
            ['f=spending&lo=5&w=101', 'A share is a number of per cent above 0, at most 100.'],
            ['f=attribute&v=x', 'Choose the attribute.'],
            ['f=country', 'Choose at least one value for country.'],
            ['f=list', 'Choose at least one.'],
            ['f=reach&w=nobody', 'Choose through whom.'],
            ['f=reach&n=9', 'Choose in how many steps, from 1 to 3.'],
            ['f=revenue&lo=1&cur=XXX', 'No rate is stated for the currency “XXX”.'],
            ['f=words&q=a&w=soul', 'Words are looked for in name, keywords, description, site.'],
        ];
    }

    #[DataProvider('mistakes')]
    public function test_a_mistake_is_a_sentence_and_leaves_the_other_steps_to_hold(string $address, string $says): void
    {
        try {
            $this->step($address)->condition(Subject::Contacts);
            self::fail('taken without complaint');
        } catch (Mistake $mistake) {
            self::assertSame($says, $mistake->getMessage());
        }
        $this->tunhede();
        parse_str($address, $given);
        $search = Search::from($this->offer, [
            'on' => 'contacts',
            'c' => [['f' => 'country', 'v' => 'DK'], $given, ['f' => 'country', 'v' => 'SE', 'x' => '1']],
        ]);
        self::assertSame([1, [1]], [$search->total(), array_keys($search->mistakes)]);
        self::assertStringStartsWith($says, $search->mistakes[1]);
    }

    public function test_places_are_told_apart_by_their_country(): void
    {
        Gazetteer::load();
        self::assertEqualsWithDelta(
            [56.64, 9.79],
            $this->step('f=near&q=hobro&km=25')->condition(Subject::Accounts)->of,
            .05,
        );
        self::assertSame([56.5, -9.25], $this->step('f=near&q=56.5, -9.25&km=25')->condition(Subject::Accounts)->of);
        foreach (
            [
                'f=near&q=Hobro&km=-5' => 'A radius is a number of km above 0.',
                'f=near&q=Hobro' => 'Give the radius in km.',
                'f=near&q=Hobro&km=x' => '“x” is not a number.',
            ] as $address => $says
        ) {
            try {
                $this->step($address)->condition(Subject::Accounts);
                self::fail($address);
            } catch (Mistake $mistake) {
                self::assertSame($says, $mistake->getMessage());
            }
        }
        $suggested = Gazetteer::suggest('hob', 5);
        self::assertNotSame([], $suggested);
        self::assertSame([], Gazetteer::suggest('%', 5));
    }

    public function test_an_address_leads_back_to_the_same_search(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $pick = fn (array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $texts = [
            'pump', 'a,b', 'Øresund & Søn', '"x y" OR -z', '50', "line\nline", '  spaces  ', '100%', '<b>', "O'Hara",
            '',
        ];
        for ($i = 0; $i < 100; $i++) {
            $given = array_map(
                fn (): array => array_filter(
                    [
                        'f' => $pick(Field::cases())->value, 'v' => $pick($texts), 'q' => $pick($texts),
                        'x' => $pick(['', '0', '1']), 'u' => $pick(['', '0', '1']),
                    ],
                    fn (string $value): bool => $value !== '',
                ),
                range(1, $random->getInt(1, Search::MOST)),
            );
            $search = Search::from($this->offer, ['on' => 'contacts', 'c' => $given]);
            parse_str(http_build_query($search->parameters()), $query);
            $again = Search::from($this->offer, $query);
            self::assertEquals(
                array_map(fn (StepForm $step): array => $step->given, $search->steps),
                array_map(fn (StepForm $step): array => $step->given, $again->steps),
            );
            self::assertSame(http_build_query($search->parameters()), http_build_query($again->parameters()));
        }
    }

    private function step(string $address): StepForm
    {
        parse_str($address, $given);

        return StepForm::from($given) ?? self::fail($address);
    }
}
