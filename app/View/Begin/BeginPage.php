<?php

declare(strict_types=1);

namespace App\View\Begin;

use App\Models\Intake;
use App\Models\IntakeState;
use App\Models\Offer;
use App\Models\User;
use App\Standings\FirstSteps;
use App\Standings\Starter;
use App\Support\FunctionNames;
use App\View\Feeds\FeedLine;
use App\View\Rules\CriterionRow;
use App\View\Today\Plan;
use App\View\Today\PlanRow;
use App\View\Today\WhyNobody;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Signal\Kind;

/** The first steps: which are done, and the one that is open. */
final readonly class BeginPage
{
    private const FIRST = 10;

    private function __construct(
        public Offer $offer,
        private User $user,
        private FirstSteps $steps,
        public int $step,
        public ?Starter $starter,
    ) {
    }

    /** @param  int  $step  that is asked for; 0: the first that is still to be made */
    public static function of(Offer $offer, User $user, int $step, string $trade): self
    {
        $steps = new FirstSteps($offer);

        return new self(
            $offer, $user, $steps, isset(FirstSteps::STEPS[$step]) ? $step : $steps->next(), Starter::of($trade),
        );
    }

    /** @return list<array{number: int, title: string, isDone: bool, isOpen: bool, url: string}> */
    public function steps(): array
    {
        return array_map(fn (int $number): array => [
            'number' => $number, 'title' => FirstSteps::STEPS[$number], 'isDone' => $this->steps->isDone($number),
            'isOpen' => $number === $this->step, 'url' => route('begin', ['step' => $number]),
        ], array_keys(FirstSteps::STEPS));
    }

    public function name(): string
    {
        return $this->offer->name === FirstSteps::UNNAMED ? '' : $this->offer->name;
    }

    /** @return array<string, string> */
    public function trades(): array
    {
        return ['' => 'choose, to begin with what is usual']
            + array_map(fn (Starter $one): string => $one->label, Starter::all());
    }

    /**
     * What is chosen of a field: as it stands in the rules, or as the trade has it.
     *
     * @return array<string, string> code → as people read it
     */
    public function chosen(string $name): array
    {
        [$field, , $called] = FirstSteps::VALUES[$name];
        $codes = $this->starter !== null && $name === 'industries'
            ? $this->starter->industries
            : array_map(strval(...), $this->criterion($called)['any'] ?? []);

        return array_combine($codes, array_map(
            fn (string $code): string => CriterionRow::label($field, $code),
            $codes,
        ));
    }

    /** What else the rules ask, which stays as it is; empty: nothing. */
    public function others(): string
    {
        return implode(', ', array_map(
            fn (array $criterion): string => "“{$criterion['name']}”", $this->steps->others(),
        ));
    }

    public function suggests(string $name): string
    {
        return route('rules.suggest', ['field' => FirstSteps::VALUES[$name][0]->value]);
    }

    public function bound(int $at): string
    {
        $range = $this->starter->headcount ?? $this->criterion(FirstSteps::SIZE)['range'] ?? [null, null];

        return $range[$at] === null ? '' : (string) $range[$at];
    }

    /** @return list<array{name: string, does: string, isChosen: bool}> */
    public function roles(): array
    {
        $chosen = array_column($this->offer->rules->buyer_roles ?? [], 'name');

        return array_map(fn (array $role): array => [
            'name' => $role['name'],
            'does' => implode(', ', array_map(
                fn (string $name): string => FunctionNames::of(BusinessFunction::from($name)),
                $role['functions'],
            )),
            'isChosen' => $chosen === [] || $this->starter !== null || in_array($role['name'], $chosen, true),
        ], $this->usual()->roles);
    }

    public function usual(): Starter
    {
        return $this->starter ?? Starter::all()['any'];
    }

    /** @return list<string> kinds of signal that do not count there, or count otherwise */
    public function kinds(): array
    {
        $says = [];
        foreach ($this->usual()->kinds as $kind => $rule) {
            $says[] = Kind::from($kind)->label()
                .(($rule['counts'] ?? '') === 'ignored' ? ' is ignored' : ' weighs less');
        }

        return $says;
    }

    /** @return list<Intake> files that were looked at and not brought in yet, in the order in which they have to be */
    public function drafts(): array
    {
        return array_values(Intake::query()->where('user_id', $this->user->id)->where('state', IntakeState::Draft)
            ->get()
            ->sortBy(fn (Intake $intake): int => $intake->kind->order())->all());
    }

    public function megabytes(): int
    {
        return config()->integer('luftig.upload_megabytes');
    }

    /** @return list<PlanRow> */
    public function first(): array
    {
        $groups = (new Plan($this->offer, $this->user))->groups();

        return array_slice(array_merge(...array_values($groups)), 0, self::FIRST);
    }

    /** @return list<FeedLine> */
    public function feeds(): array
    {
        return FeedLine::all();
    }

    /** @return list<string> who signs in */
    public function people(): array
    {
        return array_values(User::query()->where('signs_in', true)->orderBy('name')->get()
            ->map(fn (User $one): string => "{$one->name}, {$one->role->value}")->all());
    }

    public function why(): ?string
    {
        return WhyNobody::says($this->offer);
    }

    /** @return array<string, mixed>|null */
    private function criterion(string $called): ?array
    {
        foreach ($this->offer->rules->criteria ?? [] as $criterion) {
            if ($criterion['name'] === $called) {
                return $criterion;
            }
        }

        return null;
    }
}
