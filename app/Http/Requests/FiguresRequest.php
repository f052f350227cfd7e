<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Account;
use App\Models\Figure;
use Illuminate\Foundation\Http\FormRequest;

/** Which figures of which companies are to be asked for, each as account-figure. */
final class FiguresRequest extends FormRequest
{
    private const MOST = 200;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'figures' => ['required', 'array', 'max:'.self::MOST],
            'figures.*' => ['string', 'regex:/^\d{1,10}-(headcount|revenue)$/'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $choose = 'Choose which figures to ask for, at most '.self::MOST.' at once.';

        return ['figures.required' => $choose, 'figures.array' => $choose, 'figures.max' => $choose,
            'figures.*.string' => $choose, 'figures.*.regex' => $choose];
    }

    /** @return list<array{Account, Figure}> those that nobody knows still */
    public function figures(): array
    {
        $asked = array_map(
            fn (string $one): array => explode('-', $one), array_unique((array) $this->input('figures')),
        );
        $accounts = Account::query()->whereNotNull('domain')->whereNull('merged_into')
            ->whereIn('id', array_column($asked, 0))->get()->keyBy('id');
        $figures = [];
        foreach ($asked as [$id, $figure]) {
            $account = $accounts[(int) $id] ?? null;
            if ($account !== null && ! Figure::from($figure)->isKnownOf($account)) {
                $figures[] = [$account, Figure::from($figure)];
            }
        }

        return $figures;
    }
}
