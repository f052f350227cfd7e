<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Intake\IndustryLabels;
use App\Models\IndustryLabel;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Luftig\Core\Company\Industries;

/** Decides what an industry label of a file means. */
final class IndustryLabelController extends Controller
{
    public function update(Request $request, IndustryLabel $label): RedirectResponse
    {
        $request->validate(
            ['code' => ['required', 'string', 'max:190']],
            ['code.required' => 'Say which industry is meant.'],
        );
        $typed = $request->string('code')->toString();
        [$code, $isSure] = Industries::read($typed);
        if ($code === null || ! $isSure) {
            throw ValidationException::withMessages([
                'code' => "“{$typed}” is no industry that is known; choose one that is offered while you type."
                    .($code === null ? '' : ' Do you mean “'."$code ".Industries::name($code).'”?'),
            ]);
        }
        IndustryLabels::decide($label, $code, self::user($request));

        return back()->with('said', "“{$label->label}” means ".lcfirst(Industries::name($code)).' from now on.');
    }
}
