<?php

declare(strict_types=1);

namespace App\View\Alike;

use App\Alike\AlikeTo;
use App\Models\KeptList;
use App\Support\Format;
use Luftig\Core\Likeness\TypicalPhrase;
use Luftig\Core\Mistake;

/** Phrases that are typical of some accounts, to be joined into a search. */
final readonly class PhrasesPage
{
    private const SHOWN = 30;

    /** @param  list<TypicalPhrase>  $phrases */
    private function __construct(
        private array $phrases,
        private int $of,
        public string $tokens,
        public ?KeptList $list,
        public ?string $problem,
    ) {
    }

    /** @param  list<string>  $examples */
    public static function of(array $examples, ?KeptList $list): self
    {
        try {
            return new self(
                AlikeTo::from($examples)->phrases(self::SHOWN), count($examples), implode(',', $examples), $list, null,
            );
        } catch (Mistake $mistake) {
            return new self([], count($examples), implode(',', $examples), $list, $mistake->getMessage());
        }
    }

    public function about(): string
    {
        return 'frequent in '.Format::count($this->of, 'account').' and rare in the others';
    }

    /** @return list<array{phrase: string, in: string, z: string}> */
    public function rows(): array
    {
        return array_map(fn (TypicalPhrase $one): array => [
            'phrase' => $one->phrase, 'in' => Format::number($one->in).' of '.Format::number($this->of),
            'z' => Format::tenths($one->z),
        ], $this->phrases);
    }
}
