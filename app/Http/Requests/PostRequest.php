<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Feeds\Formats\Activities;
use App\Feeds\Site;
use App\Feeds\Unreachable;
use App\Models\Feed;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** The address of a post. */
final class PostRequest extends FormRequest
{
    /** Minutes; posts go on for days, and hours matter. */
    private const RHYTHM = 60;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['of' => ['bail', 'required', 'string', 'max:500', 'url:http,https', function (
            string $field, mixed $value, Closure $fail,
        ): void {
            try {
                Site::of((string) $value);
            } catch (Unreachable $e) {
                $fail($e->getMessage());
            }
        }]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['of.required' => 'Give the address of the post.', 'of.max' => 'That address is too long.',
            'of.url' => 'The address is none of the web: it begins with http:// or https://.'];
    }

    public function address(): string
    {
        return $this->string('of')->trim()->toString();
    }

    /** @return array<string, mixed> */
    public function feed(): array
    {
        $name = 'Post '.preg_replace('~^https?://~', '', $this->address());
        for ($n = 2, $free = mb_strimwidth($name, 0, 95, '…'); Feed::query()->withTrashed()->where('name', $free)
            ->exists(); $n++) {
            $free = mb_strimwidth($name, 0, 90, '…')." $n";
        }

        return ['name' => $free, 'format' => Activities::name(), 'rhythm' => self::RHYTHM, 'confidence' => .9];
    }
}
