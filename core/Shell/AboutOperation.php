<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Company\Domain;
use Luftig\Core\Rules\Input;
use Luftig\Core\Signal\About;
use Luftig\Core\Signal\Aboutness;
use Luftig\Core\Signal\Item;
use Luftig\Core\Signal\Mention;
use Luftig\Core\Signal\Named;

/** Rule 25. */
final class AboutOperation implements Operation
{
    public static function name(): string
    {
        return 'about';
    }

    public static function summary(): string
    {
        return 'Whom a feed item is about, and how sure that is.';
    }

    public static function fields(): array
    {
        return [
            'item' => '{title, text?, links? [..], emails? [..]}',
            'accounts[]' => '{id, name, domain?, profile?, city?, products? [..], people? [..]}',
            'common_words' => '[..] words and places that are no name by themselves; may be absent',
            'answer' => 'a list of {id, confidence, verdict, because} of those above 0, best first',
            'answer: verdict' => Input::values(Aboutness::class),
        ];
    }

    public static function example(): array
    {
        return [
            'item' => ['title' => 'Glasverk Tunhede builds a fourth line', 'text' => 'The plant in Hobro grows.'],
            'accounts' => [
                ['id' => 1, 'name' => 'Glasverk Tunhede A/S', 'domain' => 'tunhede.example', 'city' => 'Hobro'],
                ['id' => 2, 'name' => 'Hobro'],
            ],
            'common_words' => ['Hobro'],
        ];
    }

    public static function answer(Input $input): array
    {
        $given = $input->object('item');
        $item = new Item(
            $given->string('title'),
            $given->optionalString('text') ?? '',
            $given->strings('links'),
            $given->strings('emails'),
        );
        $given->done();
        $about = new About(
            array_map(self::account(...), $input->objects('accounts')),
            $input->strings('common_words'),
        );
        $input->done();

        return array_map(static fn (Mention $mention): array => [
            'id' => $mention->id, 'confidence' => $mention->confidence, 'verdict' => $mention->verdict()->value,
            'because' => $mention->because,
        ], $about->of($item));
    }

    private static function account(Input $input): Named
    {
        $named = new Named(
            $input->id('id'),
            $input->string('name'),
            Domain::from($input->optionalString('domain') ?? '')?->name,
            $input->optionalString('profile'),
            $input->optionalString('city'),
            $input->strings('products'),
            $input->strings('people'),
        );
        $input->done();

        return $named;
    }
}
