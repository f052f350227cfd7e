<?php

declare(strict_types=1);

namespace App\Finder;

use App\Alike\AlikeTo;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;
use Luftig\Core\Search\Whose;
use Luftig\Core\Text\Query;

/** What a step asks, in words. */
final readonly class StepWords
{
    /** So many values are named. */
    private const SAID = 6;

    public function __construct(private StepForm $step)
    {
    }

    /** What it asks, in words. */
    public function says(): string
    {
        $which = $this->step->which();
        $said = match (true) {
            $this->step->field === Field::Event => implode(' · ', array_filter([
                Whose::tryFrom($which)?->label(),
                in_array($this->step->given('n'), ['', '1'], true) ? '' : 'at least '.$this->step->given('n'),
                $this->labels(Field::Signal, 'v'), $this->labels(Field::EventStage, 'st'),
                $this->step->given('rd') === '' ? '' : 'round '.strtoupper($this->labels(Field::EventRound, 'rd')),
                $this->between('lo', 'hi', ' days ago'), $this->between('slo', 'shi', ' strong'),
                $this->between('alo', 'ahi', ' '.$this->currency()), $this->queried('q'),
            ])),
            $this->step->field === Field::Opening => implode(' · ', array_filter([
                in_array($this->step->given('n'), ['', '1'], true) ? '' : 'at least '.$this->step->given('n'),
                $this->queried('q'), $this->step->given('q2') === '' ? '' : 'says '.$this->queried('q2'),
                $this->step->given('pl') === '' ? '' : 'in '.$this->queried('pl'),
                $this->labels(Field::OpeningType, 'v'), $this->between('lo', 'hi', ' days ago'),
            ])) ?: 'any',
            $this->step->field === Field::Before => implode(' · ', array_filter(
                [
                    $this->queried('q'),
                    $this->step->given('q2') === '' ? '' : 'at '.$this->queried('q2'),
                    $this->between('lo', 'hi', ' months ago'),
                ],
            )),
            $this->step->field === Field::Spending => $this->step->given('lo').' '.$this->currency()
                ." at $which % of revenue",
            $this->step->field === Field::Attribute => $which.': '
                .(implode(', ', array_filter([...$this->step->values(), $this->between('lo', 'hi', '')])) ?: 'any'),
            $this->step->field === Field::Reach => $this->reaches(),
            $this->step->field === Field::Alike => $this->likes(),
            $this->step->field === Field::KeptOut => 'customers, competitors, agencies, keep-out',
            $this->step->field === Field::Growth => $this->grows(),
            $this->step->field->test() === Comparison::Range => $this
                ->between('lo', 'hi', $this->step->given('cur') === '' ? '' : ' '.$this->currency()),
            $this->step->field->test() === Comparison::Query => $this->queried('q'),
            $this->step->field->test() === Comparison::Near => $this->step->given('km').' km around '
                .$this->step->given('q'),
            default => $this->labels($this->step->field, 'v'),
        };

        return match (true) {
            $this->step->field->isOfSite() && $which === 'any' => "$said, any site",
            $this->step->field === Field::Words && $which !== '' => "$said, in "
                .implode(' or ', array_map(fn (Passage $passage): string => $passage->label(), Passage::named($which))),
            $this->step->field === Field::KnownContacts && $which !== '' => "$said in the role $which",
            $this->step->field === Field::Headcount && $which !== '' => "$said in "
                .ValueLabel::of(Field::BusinessFunction, $which),
            $this->step->field === Field::Growth => "$said ".Spans::says($which),
            default => $said,
        };
    }

    private function grows(): string
    {
        $shown = fn (string $key): string => ($number = (new StepNumbers($this->step))->bound($key)) === null
            ? ''
            : str_replace('-', '−', (string) round(100 * $number, 1)).' %';
        try {
            return self::span($shown('lo'), $shown('hi'), '');
        } catch (Mistake) {
            return $this->between('lo', 'hi', '');
        }
    }

    private function likes(): string
    {
        $names = ValueLabel::names($this->step->values());
        $not = ValueLabel::names($this->step->values('q2'));
        $listed = fn (array $all): string => implode(', ', array_slice($all, 0, self::SAID))
            .(($more = count($all) - self::SAID) > 0 ? " and $more more" : '');

        return 'the '.($this->step->given('n') ?: (string) AlikeTo::USUAL).' most like '.$listed($names)
            .($not === [] ? '' : ', not like '.$listed($not));
    }

    private function reaches(): string
    {
        try {
            return $this->step->reach()->says();
        } catch (Mistake) {
            return 'through nobody we know of';
        }
    }

    private function queried(string $key): string
    {
        $phrases = Query::pasted($this->step->query($key));
        $more = count($phrases) - self::SAID;

        return $phrases === []
            ? $this->step->query($key)
            : implode(' · ', array_slice($phrases, 0, self::SAID)).($more > 0 ? " and $more more" : '');
    }

    private function labels(Field $field, string $key): string
    {
        $values = $this->step->values($key);
        $shown = array_map(
            fn (string $value): string => match (true) {
                $field !== $this->step->field => ValueLabel::of($field, $value),
                count(ValueLabel::codes($field, $value)) > 1 => $value,
                default => ValueLabel::of($field, ValueLabel::code($field, $value)),
            },
            array_slice($values, 0, self::SAID),
        );
        $more = count($values) - count($shown);

        $glue = match (true) {
            $this->step->given('all') === '1' => ' and ',
            str_contains(implode('', $shown), ',') => '; ',
            default => ', ',
        };

        return implode($glue, $shown).($more > 0 ? " and $more more" : '');
    }

    private function between(string $from, string $to, string $unit): string
    {
        return self::span($this->step->given($from), $this->step->given($to), $unit);
    }

    private static function span(string $low, string $high, string $unit): string
    {
        // A span of time that was typed with its unit has one.
        if (str_ends_with($unit, ' ago') && preg_match('/\pL/u', $low.$high) === 1) {
            $unit = ' ago';
        }

        return match (true) {
            $low === '' && $high === '' => '',
            $low === '' => "up to $high$unit",
            $high === '' => "from $low$unit",
            default => "$low – $high$unit",
        };
    }

    /** The currency with the rate at which it is converted. */
    private function currency(): string
    {
        $currency = $this->step->given('cur') ?: 'EUR';

        $rate = config('luftig.rates.per_eur')[$currency] ?? null;

        return $currency === 'EUR' || $rate === null ? $currency : "$currency (1 EUR = $rate)";
    }
}
