<?php

declare(strict_types=1);

namespace App\View\Finder;

use Luftig\Core\Search\Field;

/** The values of a field among those found: the most frequent, or so many that several can be ticked. */
final readonly class Facets
{
    /**
     * @param  list<Facet>  $values
     * @param  string|null  $more  the address that shows more of them, or fewer again; null where there are no more
     */
    public function __construct(
        public Field $field,
        public array $values,
        public bool $isWide,
        public ?string $more,
    ) {
    }

    public function label(): string
    {
        return $this->field === Field::Domain ? 'Account' : ucfirst($this->field->label());
    }
}
