<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ApproachKind;
use App\Reasons\AngleSet;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Luftig\Core\Mistake;
use Luftig\Core\Reason\Template;
use Luftig\Core\Signal\Kind;

/** The form of an angle, read into what is stored with rules. */
final class AngleRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        // While it is being written, whom it holds for is told before it has a name.
        $needed = $this->routeIs('angles.preview') ? 'nullable' : 'required';

        return [
            'version' => ['required', 'integer'],
            'name' => [$needed, 'string', 'max:80'], 'say' => [$needed, 'string', 'max:190'],
            'parts' => ['array', 'max:12'], 'parts.*' => ['array'], 'parts.*.*' => ['nullable', 'string', 'max:500'],
            'words' => ['array', 'max:12'], 'words.*' => ['array'],
            'words.*.language' => ['nullable', Rule::in(AngleSet::LANGUAGES), 'distinct'],
            'words.*.*' => ['nullable', 'string', 'max:3000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the angle a name.', 'say.required' => 'Say in one line what it says.',
            'words.*.language.distinct' => 'A language stands here twice.',
        ];
    }

    /**
     * As it is stored.
     *
     * @return array<string, mixed>
     *
     * @throws Mistake with a sentence, where it cannot be used
     */
    public function angle(): array
    {
        $angle = [
            'name' => $this->string('name')->trim()->toString() ?: 'A new angle',
            'say' => $this->string('say')->trim()->toString(),
            'needed' => $this->parts('needed'), 'welcome' => $this->parts('welcome'), 'words' => $this->words(),
        ];
        AngleSet::read([$angle]);
        self::template('what it says', $angle['say']);
        if ($angle['words'] === []) {
            throw Mistake::at('words', 'Write a message in one language at least.');
        }

        return $angle;
    }

    /** @return list<array<string, string>> */
    private function parts(string $need): array
    {
        $parts = [];
        foreach ((array) $this->input('parts', []) as $row) {
            [$is, $what] = explode(':', (string) ($row['is'] ?? '').':');
            $words = Str::squish((string) ($row['words'] ?? ''));
            if ($is === '' || ($row['need'] ?? '') !== $need) {
                continue;
            }
            $parts[] = array_filter($is === 'fact' ? ['fact' => $what, 'value' => $words] : [
                'kind' => Kind::tryFrom($what)->value ?? '', 'whose' => (string) ($row['whose'] ?? ''),
                'query' => $words, 'role' => (string) ($row['role'] ?? ''),
            ], fn (string $value): bool => $value !== '');
        }

        return $parts;
    }

    /**
     * @return array<string, array<string, string>>
     *
     * @throws Mistake where there are words without a message, or slots that cannot be read
     */
    private function words(): array
    {
        $words = [];
        foreach ((array) $this->input('words', []) as $row) {
            $language = (string) ($row['language'] ?? '');
            $own = [];
            foreach (['subject', ...array_column(ApproachKind::cases(), 'value')] as $kind) {
                $text = trim(str_replace("\r\n", "\n", (string) ($row[$kind] ?? '')));
                if ($text !== '') {
                    $own[$kind] = $text;
                    self::template("$kind, $language", $text);
                }
            }
            if ($own === []) {
                continue;
            }
            if ($language === '' || ! isset($own['message'], $own['subject'])) {
                throw Mistake::at('words', 'Words need a language, a subject and a message; the rest may be missing.');
            }
            $words[$language] = $own;
        }

        return $words;
    }

    /** @throws Mistake saying where */
    private static function template(string $where, string $text): void
    {
        try {
            Template::of($text);
        } catch (Mistake $mistake) {
            throw Mistake::at('words', ucfirst($where).': '.$mistake->getMessage());
        }
    }
}
