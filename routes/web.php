<?php

use App\Http\Controllers\AccountController;
use App\Http\Controllers\ApproachController;
use App\Http\Controllers\ContactController;
use App\Http\Controllers\ContactExportController;
use App\Http\Controllers\DecisionController;
use App\Http\Controllers\DoubleController;
use App\Http\Controllers\FinderController;
use App\Http\Controllers\FinderExportController;
use App\Http\Controllers\GoController;
use App\Http\Controllers\GroupPlaceController;
use App\Http\Controllers\IndustryLabelController;
use App\Http\Controllers\IntakeController;
use App\Http\Controllers\KeepOutController;
use App\Http\Controllers\ListController;
use App\Http\Controllers\NetworkController;
use App\Http\Controllers\NoteController;
use App\Http\Controllers\OfferController;
use App\Http\Controllers\PaceController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PositionController;
use App\Http\Controllers\ReadsController;
use App\Http\Controllers\ReasonController;
use App\Http\Controllers\ReservationController;
use App\Http\Controllers\RulesController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\StationController;
use App\Http\Controllers\StepThroughController;
use App\Http\Controllers\TagController;
use App\Http\Controllers\TeamController;
use App\Http\Controllers\TitleLessonController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\WatchController;
use App\Models\Offer;
use App\Models\RuleSet;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'create'])->name('login');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
    Route::post('/sign-in/demo', [SignInController::class, 'demo'])->name('sign-in.demo');
});

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::post('/offer', [OfferController::class, 'choose'])->name('offer.choose');
    Route::post('/offers', [OfferController::class, 'store'])->name('offers.store');
    Route::patch('/offers/{offer}', [OfferController::class, 'update'])->name('offers.update');
    Route::get('/go', GoController::class)->name('go');
    Route::post('/reads', ReadsController::class)->name('reads');

    Route::get('/', TodayController::class)->name('today');

    Route::get('/accounts', [AccountController::class, 'index'])->name('accounts.index');
    Route::get('/accounts/picture', [AccountController::class, 'picture'])->name('accounts.picture');
    Route::get('/accounts/{account}', [AccountController::class, 'show'])->name('accounts.show');
    Route::patch('/accounts/{account}', [AccountController::class, 'update'])->name('accounts.update');
    Route::post('/accounts/{account}/contacts', [ContactController::class, 'store'])->name('contacts.store');
    Route::patch('/accounts/{account}/group/{contact}', [GroupPlaceController::class, 'update'])->name('group.update');
    Route::get('/contacts', [ContactController::class, 'index'])->name('contacts.index');
    Route::get('/contacts.{format}', [ContactExportController::class, 'index'])->whereIn('format', ['csv', 'vcf'])
        ->name('contacts.export');
    Route::get('/contacts/{contact}', [ContactController::class, 'show'])->whereNumber('contact')
        ->name('contacts.show');
    Route::patch('/contacts/{contact}', [ContactController::class, 'update'])->name('contacts.update');
    Route::delete('/contacts/{contact}', [ContactController::class, 'destroy'])->name('contacts.erase');
    Route::get('/contacts/{contact}/card.vcf', [ContactExportController::class, 'card'])->name('contacts.card');
    Route::get('/contacts/{contact}/known.json', [ContactExportController::class, 'known'])->name('contacts.known');
    Route::post('/contacts/{contact}/reservation', [ReservationController::class, 'store'])->name('reservations.store');
    Route::delete('/contacts/{contact}/reservation', [ReservationController::class, 'destroy'])
        ->name('reservations.destroy');
    Route::post('/contacts/{contact}/positions', [PositionController::class, 'store'])->name('positions.store');
    Route::patch('/contacts/{contact}/positions/{position}', [PositionController::class, 'update'])->scopeBindings()
        ->name('positions.update');
    Route::delete('/contacts/{contact}/positions/{position}', [PositionController::class, 'destroy'])->scopeBindings()
        ->name('positions.destroy');
    Route::post('/titles', [TitleLessonController::class, 'store'])->name('titles.store');
    Route::delete('/titles/{lesson}', [TitleLessonController::class, 'destroy'])->name('titles.destroy');
    Route::patch('/doubles/{double}', [DoubleController::class, 'update'])->name('doubles.update');
    Route::delete('/doubles/{double}', [DoubleController::class, 'destroy'])->name('doubles.destroy');
    Route::post('/accounts/{account}/decision', [DecisionController::class, 'store'])->name('decision.store');
    Route::delete('/accounts/{account}/decision', [DecisionController::class, 'destroy'])->name('decision.destroy');
    Route::post('/accounts/{account}/notes', [NoteController::class, 'store'])->name('notes.store');
    Route::delete('/notes/{note}', [NoteController::class, 'destroy'])->name('notes.destroy');

    Route::get('/finder', [FinderController::class, 'index'])->name('finder');
    Route::post('/finder', [FinderController::class, 'narrow'])->name('finder.narrow');
    Route::get('/finder/words', [FinderController::class, 'words'])->name('finder.words');
    Route::get('/finder/places', [FinderController::class, 'places'])->name('finder.places');
    Route::post('/finder/lists', [FinderController::class, 'keep'])->name('finder.keep');
    Route::get('/finder/found.{format}', FinderExportController::class)->whereIn('format', ['csv', 'jsonl', 'vcf'])
        ->name('finder.export');
    Route::get('/lists', [ListController::class, 'index'])->name('lists.index');
    Route::get('/lists/{list}', [ListController::class, 'show'])->name('lists.show');
    Route::get('/lists/{list}/step-through', [StepThroughController::class, 'show'])->name('lists.steps');
    Route::post('/lists/{list}/step-through', [StepThroughController::class, 'update'])->name('lists.steps.decide');
    Route::post('/lists/{list}/step-through/kept', [StepThroughController::class, 'store'])->name('lists.steps.keep');
    Route::post('/lists/combined', [ListController::class, 'combine'])->name('lists.combine');
    Route::post('/lists/{list}/trial', [ListController::class, 'trial'])->name('lists.trial');
    Route::delete('/lists/{list}/held', [ListController::class, 'release'])->name('lists.release');
    Route::post('/lists/{list}/step-through/add', [StepThroughController::class, 'add'])->name('lists.steps.add');
    Route::post('/lists/{list}/split', [ListController::class, 'split'])->name('lists.split');
    Route::post('/watches', [WatchController::class, 'store'])->name('watches.store');
    Route::get('/watches/{watch}', [WatchController::class, 'show'])->name('watches.show');
    Route::post('/watches/{watch}/read', [WatchController::class, 'read'])->name('watches.read');
    Route::delete('/watches/{watch}', [WatchController::class, 'destroy'])->name('watches.destroy');
    Route::post('/watches/{watch}/restore', [WatchController::class, 'restore'])->whereNumber('watch')
        ->name('watches.restore');
    Route::delete('/lists/{list}', [ListController::class, 'destroy'])->name('lists.destroy');
    Route::post('/lists/{list}/restore', [ListController::class, 'restore'])->whereNumber('list')
        ->name('lists.restore');
    Route::get('/lists/{list}/spot-check', [ListController::class, 'sample'])->name('lists.sample');
    Route::post('/lists/{list}/spot-check', [ListController::class, 'judge'])->name('lists.judge');
    Route::post('/tags', [TagController::class, 'store'])->name('tags.store');
    Route::delete('/tags/{tag}', [TagController::class, 'destroy'])->name('tags.destroy');
    Route::get('/network', [NetworkController::class, 'index'])->name('network');
    Route::get('/network/relations', [NetworkController::class, 'relations'])->name('network.relations');
    Route::delete('/network/relations', [NetworkController::class, 'withdrawAll'])->name('network.withdraw-all');
    Route::delete('/network/relations/{relation}', [NetworkController::class, 'withdraw'])->whereNumber('relation')
        ->name('network.withdraw');
    Route::post('/network/stations', [StationController::class, 'store'])->name('stations.store');
    Route::delete('/network/stations/{station}', [StationController::class, 'destroy'])->name('stations.destroy');
    Route::get('/reasons', [ReasonController::class, 'index'])->name('reasons.index');
    Route::get('/accounts/{account}/reasons/new', [ReasonController::class, 'create'])->name('reasons.create');
    Route::post('/accounts/{account}/reasons', [ReasonController::class, 'store'])->name('reasons.store');
    Route::get('/reasons/{reason}', [ReasonController::class, 'show'])->name('reasons.show');
    Route::delete('/reasons/{reason}', [ReasonController::class, 'destroy'])->name('reasons.destroy');
    Route::post('/reasons/{reason}/approaches', [ApproachController::class, 'store'])->name('approaches.store');
    Route::post('/accounts/{account}/approaches', [ApproachController::class, 'straight'])->name('accounts.approach');
    Route::patch('/approaches/{approach}', [ApproachController::class, 'update'])->name('approaches.update');
    Route::delete('/approaches/{approach}', [ApproachController::class, 'destroy'])->name('approaches.destroy');

    Route::get('/intake', [IntakeController::class, 'index'])->name('intake.index');
    Route::post('/intake', [IntakeController::class, 'store'])->name('intake.store');
    Route::get('/intake/templates/{kind}', [IntakeController::class, 'template'])->name('intake.template');
    Route::patch('/intake/labels/{label}', [IndustryLabelController::class, 'update'])->name('labels.update');
    Route::get('/intake/{intake}', [IntakeController::class, 'show'])->name('intake.show');
    Route::patch('/intake/{intake}', [IntakeController::class, 'update'])->name('intake.update');
    Route::delete('/intake/{intake}', [IntakeController::class, 'destroy'])->name('intake.destroy');
    Route::post('/intake/{intake}/start', [IntakeController::class, 'start'])->name('intake.start');
    Route::post('/intake/{intake}/resume', [IntakeController::class, 'resume'])->name('intake.resume');
    Route::post('/intake/{intake}/undo', [IntakeController::class, 'undo'])->name('intake.undo');
    Route::get('/intake/{intake}/rejected', [IntakeController::class, 'rejected'])->name('intake.rejected');

    Route::get('/keep-out', [KeepOutController::class, 'index'])->name('keep-out.index');
    Route::post('/keep-out', [KeepOutController::class, 'store'])->name('keep-out.store');
    Route::delete('/keep-out/{keepOut}', [KeepOutController::class, 'destroy'])->name('keep-out.destroy');

    Route::get('/pace', [PaceController::class, 'edit'])->name('pace.edit');
    Route::patch('/pace', [PaceController::class, 'update'])->name('pace.update');
    Route::put('/password', [PasswordController::class, 'update'])->middleware('throttle:10,1')->name('password.update');

    Route::get('/rules', function (Offer $offer) {
        Gate::authorize('viewAny', RuleSet::class);

        return redirect()->route('rules.edit', $offer);
    })->name('rules');
    Route::get('/rules/versions/{ruleSet}', [RulesController::class, 'version'])->name('rules.version');
    Route::get('/rules/values', [RulesController::class, 'values'])->name('rules.values');
    Route::get('/rules/suggestions', [RulesController::class, 'suggest'])->name('rules.suggest');
    Route::get('/rules/{offer}', [RulesController::class, 'edit'])->name('rules.edit');
    Route::post('/rules/{offer}/preview', [RulesController::class, 'preview'])->name('rules.preview');
    Route::post('/rules/{offer}/matches', [RulesController::class, 'matches'])->name('rules.matches');
    Route::post('/rules/{offer}', [RulesController::class, 'store'])->name('rules.store');

    Route::get('/team', [TeamController::class, 'index'])->name('team.index');
    Route::post('/team', [TeamController::class, 'store'])->name('team.store');
    Route::patch('/team/{user}', [TeamController::class, 'update'])->name('team.update');
});
