<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Intake\IndustryLabels;
use App\Models\IndustryLabel;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Luftig\Core\Company\Industries;

/** Decides what an industry label of a file means. */
final class IndustryLabelController extends Controller
{
    public function update(Request $request, IndustryLabel $label): RedirectResponse
    {
        $request->validate(
            ['code' => ['required', 'in:'.implode(',', array_keys(Industries::names()))]],
            ['code.required' => 'Choose an industry.'],
        );
        $code = $request->string('code')->toString();
        IndustryLabels::decide($label, $code, self::user($request));

        return back()->with('said', "“{$label->label}” means ".lcfirst(Industries::name($code)).' from now on.');
    }
}
