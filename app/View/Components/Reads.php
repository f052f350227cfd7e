<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Support\Format;
use App\View\Reading;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** How a text query is read, told beside the field in which it is typed. */
final class Reads extends Component
{
    private const MOST = 400;

    public readonly ?string $mistake;

    public readonly ?string $words;

    /** @var list<string> */
    public readonly array $hints;

    /** @param  mixed  $text  as it came back; a list that somebody sent in its place reads as nothing */
    public function __construct(mixed $text)
    {
        $reading = Reading::of(is_scalar($text) ? (string) $text : '');
        $this->mistake = $reading->mistake;
        $this->hints = $reading->hints;
        $this->words = match (true) {
            $reading->words === null => null,
            $reading->phrases > 0 => 'Any of '.Format::count($reading->phrases, 'phrase'),
            default => 'Reads as: '.Format::cut($reading->words, self::MOST),
        };
    }

    public function render(): View
    {
        return view('components.reads');
    }
}
