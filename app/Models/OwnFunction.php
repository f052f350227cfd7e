<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\OwnFunctionFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Luftig\Core\Person\BusinessFunction;

/**
 * A function that the team defined for itself, with the words by which titles tell it.
 *
 * @property int $id
 * @property BusinessFunction $slot  which of those that are kept for it
 * @property string $name
 * @property string $words  a text query on titles
 */
final class OwnFunction extends Model
{
    /** @use HasFactory<OwnFunctionFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['slot' => BusinessFunction::class];

    /** The first role that asks for it, with its offer; null where none does. */
    public function askedForBy(): ?string
    {
        foreach (Offer::query()->with('rules')->get() as $offer) {
            foreach ([...$offer->rules->buyer_roles ?? [], ...$offer->rules->roles_of_interest ?? []] as $role) {
                if (in_array($this->slot->value, [...$role['functions'] ?? [], ...$role['neighbours'] ?? []], true)) {
                    return "“{$role['name']}” of {$offer->name}";
                }
            }
        }

        return null;
    }
}
