<?php

use App\Http\Controllers\Api\AccountController;
use App\Http\Controllers\Api\ApproachController;
use App\Http\Controllers\Api\ContactController;
use App\Http\Controllers\Api\EventController;
use App\Http\Controllers\Api\FinderController;
use App\Http\Controllers\Api\ListController;
use App\Http\Controllers\Api\ReasonController;
use App\Http\Controllers\Api\SignalController;
use App\Http\Controllers\Api\WatchController;
use App\Http\Middleware\OnceByKey;
use App\Http\Middleware\PersonByToken;
use App\Http\Middleware\SettlesChanges;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\Reason;
use App\Models\Signal;
use App\Models\Watch;
use Illuminate\Support\Facades\Route;

Route::get('/openapi.json', fn () => response()->file(base_path('docs/openapi.json'), [
    'Content-Type' => 'application/json',
]))->name('api.description');

Route::middleware(['auth:sanctum', 'throttle:api'])->group(function (): void {
    Route::post('/signals', [EventController::class, 'signals'])->middleware('ability:signals')->name('api.signals');
    Route::post('/facts', [EventController::class, 'facts'])->middleware('ability:facts')->name('api.facts');
});

$people = Route::middleware([
    'auth:sanctum', 'throttle:api', PersonByToken::class, OnceByKey::class, SettlesChanges::class,
])->name('api.');

$people->group(function (): void {
    Route::middleware(['ability:read', 'cache.headers:etag'])->group(function (): void {
        Route::get('/accounts', [AccountController::class, 'index'])->name('accounts.index')
            ->can('viewAny', Account::class);
        Route::get('/accounts/{account}', [AccountController::class, 'show'])->whereNumber('account')
            ->name('accounts.show')->can('view', 'account');
        Route::get('/contacts', [ContactController::class, 'index'])->name('contacts.index')
            ->can('viewAny', Contact::class);
        Route::get('/contacts/{contact}', [ContactController::class, 'show'])->whereNumber('contact')
            ->name('contacts.show')->can('view', 'contact');
        Route::get('/signals', [SignalController::class, 'index'])->name('signals.index')
            ->can('viewAny', Signal::class);
        Route::get('/signals/{signal}', [SignalController::class, 'show'])->whereNumber('signal')
            ->name('signals.show')->can('view', 'signal');
        Route::get('/reasons', [ReasonController::class, 'index'])->name('reasons.index')
            ->can('viewAny', Reason::class);
        Route::get('/reasons/{reason}', [ReasonController::class, 'show'])->whereNumber('reason')
            ->name('reasons.show')->can('view', 'reason');
        Route::get('/approaches', [ApproachController::class, 'index'])->name('approaches.index')
            ->can('viewAny', Approach::class);
        Route::get('/approaches/{approach}', [ApproachController::class, 'show'])->whereNumber('approach')
            ->name('approaches.show')->can('view', 'approach');
        Route::get('/lists', [ListController::class, 'index'])->name('lists.index')->can('viewAny', KeptList::class);
        Route::get('/lists/{list}', [ListController::class, 'show'])->whereNumber('list')->name('lists.show')
            ->can('view', 'list');
        Route::get('/lists/{list}/members', [ListController::class, 'members'])->whereNumber('list')
            ->name('lists.members')->can('view', 'list');
        Route::get('/watches', [WatchController::class, 'index'])->name('watches.index')
            ->can('viewAny', Watch::class);
        Route::get('/watches/{watch}', [WatchController::class, 'show'])->whereNumber('watch')
            ->name('watches.show')->can('view', 'watch');
        Route::get('/watches/{watch}/newcomers', [WatchController::class, 'newcomers'])->whereNumber('watch')
            ->name('watches.newcomers')->can('view', 'watch');
        Route::get('/finder', [FinderController::class, 'index'])->name('finder')->can('viewAny', Account::class);
        Route::get('/plan', [FinderController::class, 'plan'])->name('plan')->can('viewAny', Account::class);
    });

    Route::middleware('ability:accounts')->group(function (): void {
        Route::post('/accounts', [AccountController::class, 'store'])->name('accounts.store')
            ->can('create', Account::class);
        Route::patch('/accounts/{account}', [AccountController::class, 'update'])->whereNumber('account')
            ->name('accounts.update')->can('update', 'account');
        Route::post('/accounts/{account}/signals', [SignalController::class, 'store'])->whereNumber('account')
            ->name('signals.store')->can('update', 'account');
        Route::delete('/signals/{signal}', [SignalController::class, 'destroy'])->whereNumber('signal')
            ->name('signals.destroy')->can('update', 'signal');
    });

    Route::middleware('ability:contacts')->group(function (): void {
        Route::post('/accounts/{account}/contacts', [ContactController::class, 'store'])->whereNumber('account')
            ->name('contacts.store')->can('create', Contact::class);
        Route::patch('/contacts/{contact}', [ContactController::class, 'update'])->whereNumber('contact')
            ->name('contacts.update')->can('update', 'contact');
        Route::post('/contacts/{contact}/channels', [ContactController::class, 'channel'])->whereNumber('contact')
            ->name('contacts.channel')->can('update', 'contact');
    });

    Route::middleware('ability:reasons')->group(function (): void {
        Route::post('/accounts/{account}/reasons', [ReasonController::class, 'store'])->whereNumber('account')
            ->name('reasons.store')->can('create', Reason::class);
        Route::delete('/reasons/{reason}', [ReasonController::class, 'destroy'])->whereNumber('reason')
            ->name('reasons.destroy')->can('delete', 'reason');
        Route::post('/reasons/{reason}/approaches', [ApproachController::class, 'ofReason'])->whereNumber('reason')
            ->name('approaches.of-reason')->can('create', Approach::class);
        Route::post('/accounts/{account}/approaches', [ApproachController::class, 'store'])->whereNumber('account')
            ->name('approaches.store')->can('create', Approach::class);
        Route::delete('/approaches/{approach}', [ApproachController::class, 'destroy'])->whereNumber('approach')
            ->name('approaches.destroy')->can('update', 'approach');
        Route::put('/approaches/{approach}/result', [ApproachController::class, 'result'])->whereNumber('approach')
            ->name('approaches.result')->can('update', 'approach');
        Route::delete('/approaches/{approach}/result', [ApproachController::class, 'reopen'])->whereNumber('approach')
            ->name('approaches.reopen')->can('update', 'approach');
    });

    Route::middleware('ability:lists')->group(function (): void {
        Route::post('/lists', [ListController::class, 'store'])->name('lists.store')->can('create', KeptList::class);
        Route::delete('/lists/{list}', [ListController::class, 'destroy'])->whereNumber('list')->name('lists.destroy')
            ->can('update', 'list');
        Route::post('/lists/{list}/members', [ListController::class, 'add'])->whereNumber('list')->name('lists.add')
            ->can('update', 'list');
        Route::delete('/lists/{list}/members', [ListController::class, 'remove'])->whereNumber('list')
            ->name('lists.remove')->can('update', 'list');
        Route::post('/watches', [WatchController::class, 'store'])->name('watches.store')
            ->can('create', Watch::class);
        Route::put('/watches/{watch}', [WatchController::class, 'update'])->whereNumber('watch')
            ->name('watches.update')->can('update', 'watch');
        Route::delete('/watches/{watch}', [WatchController::class, 'destroy'])->whereNumber('watch')
            ->name('watches.destroy')->can('update', 'watch');
        Route::post('/watches/{watch}/read', [WatchController::class, 'read'])->whereNumber('watch')
            ->name('watches.read')->can('update', 'watch');
    });
});
