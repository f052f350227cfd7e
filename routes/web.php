<?php

use App\Exports\ExportFormats;
use App\Http\Controllers\AccountController;
use App\Http\Controllers\AlertController;
use App\Http\Controllers\AlikeController;
use App\Http\Controllers\AngleController;
use App\Http\Controllers\ApproachController;
use App\Http\Controllers\AskController;
use App\Http\Controllers\BeginController;
use App\Http\Controllers\CandidateController;
use App\Http\Controllers\ChannelController;
use App\Http\Controllers\ContactController;
use App\Http\Controllers\ContactExportController;
use App\Http\Controllers\DecisionController;
use App\Http\Controllers\DoubleController;
use App\Http\Controllers\EventTargetController;
use App\Http\Controllers\FeedController;
use App\Http\Controllers\FeedItemController;
use App\Http\Controllers\FinderController;
use App\Http\Controllers\FinderExportController;
use App\Http\Controllers\GoController;
use App\Http\Controllers\GroupPlaceController;
use App\Http\Controllers\IndustryLabelController;
use App\Http\Controllers\IntakeController;
use App\Http\Controllers\KeepOutController;
use App\Http\Controllers\LessonController;
use App\Http\Controllers\ListController;
use App\Http\Controllers\ListReasonController;
use App\Http\Controllers\LogController;
use App\Http\Controllers\LookUpController;
use App\Http\Controllers\LookUpServiceController;
use App\Http\Controllers\MailFileController;
use App\Http\Controllers\MemberController;
use App\Http\Controllers\MentionController;
use App\Http\Controllers\NarrowingController;
use App\Http\Controllers\NetworkController;
use App\Http\Controllers\NoteController;
use App\Http\Controllers\OfferController;
use App\Http\Controllers\OwnFunctionController;
use App\Http\Controllers\PaceController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PhraseRuleController;
use App\Http\Controllers\PositionController;
use App\Http\Controllers\PostController;
use App\Http\Controllers\PressController;
use App\Http\Controllers\ReadsController;
use App\Http\Controllers\ReasonController;
use App\Http\Controllers\ReservationController;
use App\Http\Controllers\ResultsController;
use App\Http\Controllers\RulesController;
use App\Http\Controllers\SecondFactorController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SignalController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\StandingOrderController;
use App\Http\Controllers\StationController;
use App\Http\Controllers\StatusController;
use App\Http\Controllers\StepThroughController;
use App\Http\Controllers\StoryController;
use App\Http\Controllers\TagController;
use App\Http\Controllers\TeamController;
use App\Http\Controllers\TitleLessonController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\TokenController;
use App\Http\Controllers\UnderWayController;
use App\Http\Controllers\WatchController;
use App\Http\Controllers\WebhookController;
use App\Models\Account;
use App\Models\Alert;
use App\Models\Approach;
use App\Models\Ask;
use App\Models\Budget;
use App\Models\CandidateCompany;
use App\Models\Contact;
use App\Models\EventTarget;
use App\Models\Feed;
use App\Models\Intake;
use App\Models\KeepOut;
use App\Models\KeptList;
use App\Models\Lesson;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Note;
use App\Models\Offer;
use App\Models\OwnFunction;
use App\Models\PressClass;
use App\Models\Reason;
use App\Models\Relation;
use App\Models\Reservation;
use App\Models\RuleSet;
use App\Models\StandingOrder;
use App\Models\Station;
use App\Models\Story;
use App\Models\Tag;
use App\Models\TitleLesson;
use App\Models\User;
use App\Models\Watch;
use Illuminate\Support\Facades\Route;

Route::get('/metrics', [StatusController::class, 'metrics'])->name('metrics')->middleware('throttle:60,1');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'create'])->name('login');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
    Route::post('/sign-in/demo', [SignInController::class, 'demo'])->name('sign-in.demo');
    Route::get('/sign-in/code', [SecondFactorController::class, 'ask'])->name('second.ask');
    Route::post('/sign-in/code', [SecondFactorController::class, 'answer'])->middleware('throttle:second')
        ->name('second.answer');
});

Route::get('/alerts/{key}/feed.atom', [AlertController::class, 'feed'])->where('key', '[A-Za-z0-9]{40}')
    ->middleware('throttle:60,1')->name('alerts.feed');
Route::middleware(['signed', 'throttle:30,1'])->group(function (): void {
    Route::get('/asks/{ask}/answer', [AskController::class, 'answer'])->name('asks.answer');
    Route::post('/asks/{ask}/answer', [AskController::class, 'answered'])->name('asks.answered');
});
Route::get('/pace/{key}/steps.ics', [PaceController::class, 'steps'])->where('key', '[A-Za-z0-9]{40}')
    ->middleware('throttle:60,1')->name('steps');

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::post('/offer', [OfferController::class, 'choose'])->name('offer.choose');
    Route::post('/offers', [OfferController::class, 'store'])->name('offers.store')->can('create', Offer::class);
    Route::patch('/offers/{offer}', [OfferController::class, 'update'])->name('offers.update')->can('update', 'offer');
    Route::get('/go', GoController::class)->name('go');
    Route::post('/reads', ReadsController::class)->name('reads');

    Route::get('/', TodayController::class)->name('today')->middleware('kept');
    Route::patch('/today', NarrowingController::class)->name('today.narrow');

    Route::get('/alerts', [AlertController::class, 'index'])->name('alerts.index')->can('viewAny', Alert::class);
    Route::post('/alerts', [AlertController::class, 'store'])->name('alerts.store')->can('create', Alert::class);
    Route::delete('/alerts/{alert}', [AlertController::class, 'destroy'])->whereNumber('alert')
        ->name('alerts.destroy')->can('delete', 'alert');
    Route::patch('/alerts', [AlertController::class, 'digest'])->name('alerts.digest');
    Route::post('/alerts/address', [AlertController::class, 'address'])->name('alerts.address');
    Route::delete('/alerts/address', [AlertController::class, 'endAddress'])->name('alerts.end-address');
    Route::get('/alerts/just-in', [AlertController::class, 'justIn'])->name('alerts.just-in');
    Route::post('/alerts/seen', [AlertController::class, 'seen'])->name('alerts.seen');

    Route::get('/accounts', [AccountController::class, 'index'])->name('accounts.index')->middleware('kept')
        ->can('viewAny', Account::class);
    Route::get('/accounts/picture', [AccountController::class, 'picture'])->name('accounts.picture')->middleware('kept')
        ->can('viewAny', Account::class);
    Route::get('/accounts/new', [AccountController::class, 'create'])->name('accounts.create')
        ->can('create', Account::class);
    Route::post('/accounts', [AccountController::class, 'store'])->name('accounts.store')
        ->can('create', Account::class);
    Route::get('/accounts/{account}/edit', [AccountController::class, 'edit'])->name('accounts.edit')
        ->can('update', 'account');
    Route::put('/accounts/{account}', [AccountController::class, 'correct'])->name('accounts.correct')
        ->can('update', 'account');
    Route::post('/accounts/{account}/signals', [SignalController::class, 'store'])->name('signals.store')
        ->can('update', 'account');
    Route::get('/accounts/{account}', [AccountController::class, 'show'])->name('accounts.show')->middleware('kept')
        ->can('view', 'account');
    Route::patch('/accounts/{account}', [AccountController::class, 'update'])->name('accounts.update')
        ->can('update', 'account');
    Route::post('/accounts/{account}/contacts', [ContactController::class, 'store'])->name('contacts.store')
        ->can('create', Contact::class);
    Route::patch('/accounts/{account}/group/{contact}', [GroupPlaceController::class, 'update'])->name('group.update')
        ->can('update', 'account');
    Route::get('/contacts', [ContactController::class, 'index'])->name('contacts.index')->middleware('kept')
        ->can('viewAny', Contact::class);
    Route::get('/contacts.{format}', [ContactExportController::class, 'index'])
        ->whereIn('format', ExportFormats::endings())
        ->name('contacts.export')->can('viewAny', Contact::class);
    Route::get('/contacts/{contact}', [ContactController::class, 'show'])->whereNumber('contact')
        ->name('contacts.show')->middleware('kept')->can('view', 'contact');
    Route::patch('/contacts/{contact}', [ContactController::class, 'update'])->name('contacts.update')
        ->can('update', 'contact');
    Route::delete('/contacts/{contact}', [ContactController::class, 'destroy'])->name('contacts.erase')
        ->can('erase', 'contact');
    Route::get('/contacts/{contact}/card.vcf', [ContactExportController::class, 'card'])->name('contacts.card')
        ->can('view', 'contact');
    Route::get('/contacts/{contact}/known.json', [ContactExportController::class, 'known'])->name('contacts.known')
        ->can('view', 'contact');
    Route::post('/contacts/{contact}/reservation', [ReservationController::class, 'store'])->name('reservations.store')
        ->can('create', Reservation::class);
    Route::delete('/contacts/{contact}/reservation', [ReservationController::class, 'destroy'])
        ->name('reservations.destroy')->can('view', 'contact');
    Route::post('/contacts/{contact}/positions', [PositionController::class, 'store'])->name('positions.store')
        ->can('update', 'contact');
    Route::patch('/contacts/{contact}/positions/{position}', [PositionController::class, 'update'])->scopeBindings()
        ->name('positions.update')->can('update', 'contact');
    Route::delete('/contacts/{contact}/positions/{position}', [PositionController::class, 'destroy'])->scopeBindings()
        ->name('positions.destroy')->can('update', 'contact');
    Route::post('/contacts/{contact}/channels', [ChannelController::class, 'store'])->name('channels.store')
        ->can('update', 'contact');
    Route::post('/contacts/{contact}/channels/guess', [ChannelController::class, 'guess'])->name('channels.guess')
        ->can('update', 'contact');
    Route::patch('/contacts/{contact}/channels/{channel}', [ChannelController::class, 'update'])->scopeBindings()
        ->name('channels.update')->can('update', 'contact');
    Route::delete('/contacts/{contact}/channels/{channel}', [ChannelController::class, 'destroy'])->scopeBindings()
        ->name('channels.destroy')->can('update', 'contact');
    Route::post('/functions', [OwnFunctionController::class, 'store'])->name('functions.store')
        ->can('create', OwnFunction::class);
    Route::delete('/functions/{function}', [OwnFunctionController::class, 'destroy'])->name('functions.destroy')
        ->can('delete', 'function');
    Route::post('/titles', [TitleLessonController::class, 'store'])->name('titles.store')
        ->can('create', TitleLesson::class);
    Route::delete('/titles/{lesson}', [TitleLessonController::class, 'destroy'])->name('titles.destroy')
        ->can('delete', 'lesson');
    Route::patch('/doubles/{double}', [DoubleController::class, 'update'])->name('doubles.update')
        ->can('update', 'double');
    Route::delete('/doubles/{double}', [DoubleController::class, 'destroy'])->name('doubles.destroy')
        ->can('update', 'double');
    Route::post('/accounts/{account}/decision', [DecisionController::class, 'store'])->name('decision.store')
        ->can('view', 'account');
    Route::delete('/accounts/{account}/decision', [DecisionController::class, 'destroy'])->name('decision.destroy')
        ->can('view', 'account');
    Route::post('/accounts/{account}/notes', [NoteController::class, 'store'])->name('notes.store')
        ->can('create', Note::class);
    Route::delete('/notes/{note}', [NoteController::class, 'destroy'])->name('notes.destroy')->can('delete', 'note');

    Route::get('/alike', [AlikeController::class, 'index'])->name('alike')->can('viewAny', Account::class);
    Route::post('/alike', [AlikeController::class, 'add'])->name('alike.add')->can('viewAny', Account::class);
    Route::get('/alike/phrases', [AlikeController::class, 'phrases'])->name('alike.phrases')
        ->can('viewAny', Account::class);
    Route::post('/alike/phrases', [AlikeController::class, 'search'])->name('alike.search')
        ->can('viewAny', Account::class);
    Route::post('/alike/phrases/{offer}/rules', [PhraseRuleController::class, 'store'])->name('phrases.rules')
        ->can('create', RuleSet::class);
    Route::post('/alike/phrases/{offer}/back/{ruleSet}', [PhraseRuleController::class, 'back'])->name('phrases.back')
        ->can('create', RuleSet::class);
    Route::patch('/alike/answers', [AlikeController::class, 'answers'])->name('alike.answers')
        ->can('create', Offer::class);
    Route::get('/finder', [FinderController::class, 'index'])->name('finder')->middleware('kept')
        ->can('viewAny', Account::class);
    Route::post('/finder', [FinderController::class, 'narrow'])->name('finder.narrow')->can('viewAny', Account::class);
    Route::get('/finder/words', [FinderController::class, 'words'])->name('finder.words')->middleware('kept')
        ->can('viewAny', Account::class);
    Route::get('/finder/places', [FinderController::class, 'places'])->name('finder.places')
        ->can('viewAny', Account::class);
    Route::get('/finder/values/{field}', [FinderController::class, 'values'])->name('finder.values')
        ->can('viewAny', Account::class);
    Route::post('/finder/lists', [FinderController::class, 'keep'])->name('finder.keep')
        ->can('create', KeptList::class);
    Route::get('/finder/found.{format}', FinderExportController::class)->whereIn('format', ExportFormats::endings())
        ->name('finder.export')->can('viewAny', Account::class);
    Route::post('/members', [MemberController::class, 'store'])->name('members.store')
        ->can('viewAny', KeptList::class);
    Route::delete('/lists/{list}/members', [MemberController::class, 'destroy'])->name('members.destroy')
        ->can('update', 'list');
    Route::get('/lists', [ListController::class, 'index'])->name('lists.index')->can('viewAny', KeptList::class);
    Route::get('/lists/{list}', [ListController::class, 'show'])->name('lists.show')->can('view', 'list');
    Route::get('/lists/{list}/step-through', [StepThroughController::class, 'show'])->name('lists.steps')
        ->can('update', 'list');
    Route::post('/lists/{list}/step-through', [StepThroughController::class, 'update'])->name('lists.steps.decide')
        ->can('update', 'list');
    Route::post('/lists/{list}/step-through/kept', [StepThroughController::class, 'store'])->name('lists.steps.keep')
        ->can('update', 'list');
    Route::post('/lists/combined', [ListController::class, 'combine'])->name('lists.combine')
        ->can('create', KeptList::class);
    Route::post('/lists/{list}/trial', [ListController::class, 'trial'])->name('lists.trial')->can('view', 'list');
    Route::delete('/lists/{list}/held', [ListController::class, 'release'])->name('lists.release')
        ->can('update', 'list');
    Route::post('/lists/{list}/step-through/add', [StepThroughController::class, 'add'])->name('lists.steps.add')
        ->can('update', 'list');
    Route::post('/lists/{list}/split', [ListController::class, 'split'])->name('lists.split')->can('view', 'list');
    Route::post('/watches', [WatchController::class, 'store'])->name('watches.store')->can('create', Watch::class);
    Route::get('/watches/{watch}', [WatchController::class, 'show'])->name('watches.show')->can('view', 'watch');
    Route::patch('/watches/{watch}', [WatchController::class, 'update'])->name('watches.update')
        ->can('update', 'watch');
    Route::post('/watches/{watch}/read', [WatchController::class, 'read'])->name('watches.read')
        ->can('update', 'watch');
    Route::delete('/watches/{watch}', [WatchController::class, 'destroy'])->name('watches.destroy')
        ->can('update', 'watch');
    Route::post('/watches/{watch}/restore', [WatchController::class, 'restore'])->whereNumber('watch')
        ->name('watches.restore')->can('create', Watch::class);
    Route::get('/lists/{list}/reasons', [ListReasonController::class, 'create'])->name('lists.reasons')
        ->can('create', Reason::class);
    Route::post('/lists/{list}/reasons', [ListReasonController::class, 'store'])->name('lists.reasons.store')
        ->can('create', Reason::class);
    Route::delete('/lists/{list}/reasons/{batch}', [ListReasonController::class, 'destroy'])->whereUuid('batch')
        ->name('lists.reasons.undo')->can('create', Reason::class);
    Route::delete('/lists/{list}', [ListController::class, 'destroy'])->name('lists.destroy')->can('update', 'list');
    Route::post('/lists/{list}/restore', [ListController::class, 'restore'])->whereNumber('list')
        ->name('lists.restore')->can('create', KeptList::class);
    Route::get('/lists/{list}/spot-check', [ListController::class, 'sample'])->name('lists.sample')
        ->can('update', 'list');
    Route::post('/lists/{list}/spot-check', [ListController::class, 'judge'])->name('lists.judge')
        ->can('update', 'list');
    Route::post('/tags', [TagController::class, 'store'])->name('tags.store')->can('create', Tag::class);
    Route::delete('/tags/{tag}', [TagController::class, 'destroy'])->name('tags.destroy')->can('update', 'tag');
    Route::get('/network', [NetworkController::class, 'index'])->name('network')->middleware('kept')
        ->can('viewAny', Relation::class);
    Route::get('/network/around/{contact}', [NetworkController::class, 'around'])->name('network.around')
        ->can('view', 'contact');
    Route::get('/network/network.graphml', [NetworkController::class, 'graph'])->name('network.graph')
        ->can('viewAny', Relation::class);
    Route::get('/network/relations', [NetworkController::class, 'relations'])->name('network.relations')
        ->can('viewAny', Relation::class);
    Route::delete('/network/relations', [NetworkController::class, 'withdrawAll'])->name('network.withdraw-all')
        ->can('viewAny', Relation::class);
    Route::delete('/network/relations/{relation}', [NetworkController::class, 'withdraw'])->whereNumber('relation')
        ->name('network.withdraw')->can('viewAny', Relation::class);
    Route::post('/network/stations', [StationController::class, 'store'])->name('stations.store')
        ->can('viewAny', Station::class);
    Route::delete('/network/stations/{station}', [StationController::class, 'destroy'])->name('stations.destroy')
        ->can('delete', 'station');
    Route::get('/reasons', [ReasonController::class, 'index'])->name('reasons.index')->can('viewAny', Reason::class);
    Route::get('/accounts/{account}/reasons/new', [ReasonController::class, 'create'])->name('reasons.create')
        ->middleware('kept')->can('create', Reason::class);
    Route::post('/accounts/{account}/reasons', [ReasonController::class, 'store'])->name('reasons.store')
        ->can('create', Reason::class);
    Route::post('/accounts/{account}/reasons/proposed', [ReasonController::class, 'propose'])
        ->name('reasons.propose')->can('create', Reason::class);
    Route::get('/accounts/{account}/mail.eml', [MailFileController::class, 'draft'])->name('accounts.mail')
        ->can('view', 'account');
    Route::get('/reasons/{reason}/mail.eml', [MailFileController::class, 'reason'])->name('reasons.mail')
        ->can('view', 'reason');
    Route::get('/reasons/{reason}', [ReasonController::class, 'show'])->name('reasons.show')->can('view', 'reason');
    Route::delete('/reasons/{reason}', [ReasonController::class, 'destroy'])->name('reasons.destroy')
        ->can('delete', 'reason');
    Route::post('/reasons/{reason}/approaches', [ApproachController::class, 'store'])->name('approaches.store')
        ->can('create', Approach::class);
    Route::post('/accounts/{account}/approaches', [ApproachController::class, 'straight'])->name('accounts.approach')
        ->can('create', Approach::class);
    Route::patch('/approaches/{approach}', [ApproachController::class, 'update'])->name('approaches.update')
        ->can('update', 'approach');
    Route::delete('/approaches/{approach}/result', [ApproachController::class, 'reopen'])->name('approaches.reopen')
        ->can('update', 'approach');
    Route::delete('/approaches/{approach}', [ApproachController::class, 'destroy'])->name('approaches.destroy')
        ->can('update', 'approach');

    Route::get('/signals/{signal}', [SignalController::class, 'show'])->whereNumber('signal')->name('signals.show')
        ->can('view', 'signal');
    Route::delete('/signals/{signal}', [SignalController::class, 'destroy'])->whereNumber('signal')
        ->name('signals.destroy')->can('strike', 'signal');
    Route::post('/signals/struck/{struck}', [SignalController::class, 'restore'])->whereNumber('struck')
        ->name('signals.restore')->can('restore', 'struck');
    Route::get('/feeds/new', [FeedController::class, 'create'])->name('feeds.create')->can('create', Feed::class);
    Route::post('/feeds', [FeedController::class, 'store'])->name('feeds.store')->can('create', Feed::class);
    Route::post('/feeds/trial', [FeedController::class, 'trial'])->middleware('throttle:20,1')->name('feeds.trial')
        ->can('create', Feed::class);
    Route::get('/webhooks/new', [WebhookController::class, 'create'])->name('webhooks.create')
        ->can('create', Feed::class);
    Route::post('/webhooks', [WebhookController::class, 'store'])->name('webhooks.store')->can('create', Feed::class);
    Route::post('/feeds/{feed}/tokens', [WebhookController::class, 'token'])->name('webhooks.token')
        ->can('update', 'feed');
    Route::delete('/feeds/{feed}/tokens/{token}', [WebhookController::class, 'revoke'])->whereNumber('token')
        ->name('webhooks.revoke')->can('update', 'feed');
    Route::get('/feeds/{feed}', [FeedController::class, 'show'])->name('feeds.show')->can('view', 'feed');
    Route::get('/feeds/{feed}/edit', [FeedController::class, 'edit'])->name('feeds.edit')->can('update', 'feed');
    Route::put('/feeds/{feed}', [FeedController::class, 'update'])->name('feeds.update')->can('update', 'feed');
    Route::post('/feeds/{feed}/run', [FeedController::class, 'run'])->name('feeds.run')->can('update', 'feed');
    Route::patch('/feeds/{feed}/pause', [FeedController::class, 'pause'])->name('feeds.pause')->can('update', 'feed');
    Route::delete('/feeds/{feed}', [FeedController::class, 'destroy'])->name('feeds.destroy')->can('delete', 'feed');
    Route::post('/feeds/{feed}/restore', [FeedController::class, 'restore'])->whereNumber('feed')
        ->name('feeds.restore')->can('create', Feed::class);
    Route::get('/items/{item}', [FeedItemController::class, 'show'])->name('items.show')->can('view', 'item');
    Route::patch('/mentions/{mention}', [MentionController::class, 'update'])->name('mentions.update')
        ->can('update', 'mention');
    Route::delete('/mentions/{mention}', [MentionController::class, 'destroy'])->name('mentions.destroy')
        ->can('update', 'mention');

    Route::get('/press', [PressController::class, 'index'])->name('press')->can('viewAny', PressClass::class);
    Route::post('/press', [PressController::class, 'store'])->name('press.store')->can('create', PressClass::class);
    Route::post('/press/trial', [PressController::class, 'trial'])->name('press.trial')
        ->can('create', PressClass::class);
    Route::put('/press/{class}', [PressController::class, 'update'])->name('press.update')->can('update', 'class');
    Route::delete('/press/{class}', [PressController::class, 'destroy'])->name('press.destroy')
        ->can('update', 'class');
    Route::get('/contacts/{contact}/asks/new', [AskController::class, 'create'])->name('asks.create')
        ->can('create', Ask::class);
    Route::post('/contacts/{contact}/asks', [AskController::class, 'store'])->name('asks.store')
        ->can('create', Ask::class);
    Route::get('/asks/{ask}', [AskController::class, 'show'])->name('asks.show')->can('viewAny', Ask::class);
    Route::patch('/asks/{ask}', [AskController::class, 'update'])->name('asks.update')->can('update', 'ask');
    Route::get('/results', ResultsController::class)->name('results')->middleware('kept')
        ->can('viewAny', Approach::class);
    Route::get('/results/learned', [LessonController::class, 'show'])->name('lessons.show')->middleware('kept')
        ->can('viewAny', Lesson::class);
    Route::get('/results/learned/moves', [LessonController::class, 'moves'])->name('lessons.moves')
        ->can('viewAny', Lesson::class);
    Route::post('/results/learned', [LessonController::class, 'store'])->name('lessons.store')
        ->can('create', Lesson::class);
    Route::post('/results/learned/back/{ruleSet}', [LessonController::class, 'back'])->name('lessons.back')
        ->can('create', Lesson::class);
    Route::post('/results/learned/sources/{feed}', [LessonController::class, 'source'])->name('lessons.source')
        ->can('create', Lesson::class);
    Route::get('/posts', [PostController::class, 'show'])->name('posts.show')->can('viewAny', Feed::class);
    Route::post('/posts', [PostController::class, 'store'])->name('posts.store')->can('viewAny', Feed::class);
    Route::get('/candidates', [CandidateController::class, 'index'])->name('candidates')
        ->can('viewAny', CandidateCompany::class);
    Route::post('/candidates', [CandidateController::class, 'decide'])->name('candidates.decide')
        ->can('create', CandidateCompany::class);
    Route::delete('/candidates/{company}', [CandidateController::class, 'reopen'])->name('candidates.reopen')
        ->can('update', 'company');
    Route::patch('/candidates/{company}', [CandidateController::class, 'match'])->whereNumber('company')
        ->name('candidates.match')->can('update', 'company');
    Route::patch('/candidates/people/{candidate}', [CandidateController::class, 'person'])->name('candidates.person')
        ->can('update', 'candidate');

    Route::get('/intake', [IntakeController::class, 'index'])->name('intake.index')
        ->middleware('kept')->can('viewAny', Intake::class);
    Route::post('/intake', [IntakeController::class, 'store'])->name('intake.store')->can('create', Intake::class);
    Route::get('/intake/templates/{kind}', [IntakeController::class, 'template'])->name('intake.template')
        ->can('create', Intake::class);
    Route::patch('/intake/labels/{label}', [IndustryLabelController::class, 'update'])->name('labels.update')
        ->can('update', 'label');
    Route::get('/intake/{intake}', [IntakeController::class, 'show'])->name('intake.show')->can('view', 'intake');
    Route::patch('/intake/{intake}', [IntakeController::class, 'update'])->name('intake.update')
        ->can('update', 'intake');
    Route::delete('/intake/{intake}', [IntakeController::class, 'destroy'])->name('intake.destroy')
        ->can('update', 'intake');
    Route::post('/intake/{intake}/start', [IntakeController::class, 'start'])->name('intake.start')
        ->can('update', 'intake');
    Route::post('/intake/{intake}/stop', [IntakeController::class, 'stop'])->name('intake.stop')
        ->can('update', 'intake');
    Route::post('/intake/{intake}/resume', [IntakeController::class, 'resume'])->name('intake.resume')
        ->can('update', 'intake');
    Route::post('/intake/{intake}/undo', [IntakeController::class, 'undo'])->name('intake.undo')->can('undo', 'intake');
    Route::post('/intake/{intake}/waiting', [IntakeController::class, 'settle'])->name('intake.settle')
        ->can('update', 'intake');
    Route::get('/intake/{intake}/unread', [IntakeController::class, 'unread'])->name('intake.unread')
        ->can('view', 'intake');
    Route::get('/intake/{intake}/outlook', [IntakeController::class, 'outlook'])->name('intake.outlook')
        ->can('view', 'intake');
    Route::get('/intake/{intake}/rejected', [IntakeController::class, 'rejected'])->name('intake.rejected')
        ->can('view', 'intake');

    Route::get('/look-ups', [LookUpController::class, 'index'])->name('look-ups')->middleware('kept')
        ->can('viewAny', LookUpRun::class);
    Route::post('/look-ups', [LookUpController::class, 'store'])->name('look-ups.store')
        ->can('create', LookUpRun::class);
    Route::get('/look-ups/new', [LookUpController::class, 'create'])->name('look-ups.create')
        ->can('create', LookUpRun::class);
    Route::get('/look-ups/pays', [LookUpController::class, 'pays'])->name('look-ups.pays')
        ->can('viewAny', LookUpRun::class);
    Route::get('/look-ups/ledger', [LookUpController::class, 'ledger'])->name('look-ups.ledger')
        ->can('viewAny', LookUp::class);
    Route::get('/look-ups/runs/{run}', [LookUpController::class, 'show'])->name('look-ups.run')->can('view', 'run');
    Route::post('/look-ups/runs/{run}/stop', [LookUpController::class, 'stop'])->name('look-ups.stop')
        ->can('update', 'run');
    Route::post('/look-ups/runs/{run}/resume', [LookUpController::class, 'resume'])->name('look-ups.resume')
        ->can('update', 'run');
    Route::post('/look-ups/figures', [LookUpController::class, 'figures'])->name('look-ups.figures')
        ->can('create', LookUpRun::class);
    Route::post('/look-ups/orders', [StandingOrderController::class, 'store'])->name('orders.store')
        ->can('create', StandingOrder::class);
    Route::delete('/look-ups/orders/{order}', [StandingOrderController::class, 'destroy'])->name('orders.destroy')
        ->can('delete', 'order');
    Route::put('/look-ups/budgets', [LookUpServiceController::class, 'budget'])->name('look-ups.budget')
        ->can('create', Budget::class);
    Route::get('/look-ups/services/new', [LookUpServiceController::class, 'create'])->name('services.create')
        ->can('create', LookUpService::class);
    Route::post('/look-ups/services', [LookUpServiceController::class, 'store'])->name('services.store')
        ->can('create', LookUpService::class);
    Route::get('/look-ups/services/{service}', [LookUpServiceController::class, 'edit'])->name('services.edit')
        ->can('update', 'service');
    Route::put('/look-ups/services/{service}', [LookUpServiceController::class, 'update'])->name('services.update')
        ->can('update', 'service');
    Route::patch('/look-ups/services/{service}', [LookUpServiceController::class, 'pause'])->name('services.pause')
        ->can('update', 'service');
    Route::get('/keep-out', [KeepOutController::class, 'index'])->name('keep-out.index')
        ->can('viewAny', KeepOut::class);
    Route::post('/keep-out', [KeepOutController::class, 'store'])->name('keep-out.store')
        ->can('create', KeepOut::class);
    Route::delete('/keep-out/{keepOut}', [KeepOutController::class, 'destroy'])->name('keep-out.destroy')
        ->can('delete', 'keepOut');

    Route::get('/begin', [BeginController::class, 'show'])->name('begin')
        ->middleware('kept')->can('create', RuleSet::class);
    Route::post('/begin/sells', [BeginController::class, 'sells'])->name('begin.sells')->can('create', Offer::class);
    Route::post('/begin/serves', [BeginController::class, 'serves'])->name('begin.serves')
        ->can('create', RuleSet::class);
    Route::post('/begin/buys', [BeginController::class, 'buys'])->name('begin.buys')->can('create', RuleSet::class);

    Route::get('/pace', [PaceController::class, 'edit'])->name('pace.edit');
    Route::patch('/pace', [PaceController::class, 'update'])->name('pace.update');
    Route::post('/pace/address', [PaceController::class, 'address'])->name('pace.address');
    Route::delete('/pace/address', [PaceController::class, 'endAddress'])->name('pace.end-address');
    Route::get('/under-way', UnderWayController::class)->name('under-way')->can('viewAny', Intake::class);
    Route::get('/status', [StatusController::class, 'index'])->name('status')->can('viewAny', User::class);
    Route::get('/log', [LogController::class, 'index'])->name('log')->can('viewAny', User::class);
    Route::post('/password/strength', [PasswordController::class, 'weigh'])->middleware('throttle:120,1')
        ->name('password.strength');
    Route::put('/password', [PasswordController::class, 'update'])->middleware('throttle:10,1')
        ->name('password.update');
    Route::get('/second-factor', [SecondFactorController::class, 'edit'])->name('second.edit');
    Route::post('/second-factor', [SecondFactorController::class, 'store'])->middleware('throttle:10,1')
        ->name('second.store');
    Route::delete('/second-factor', [SecondFactorController::class, 'destroy'])->middleware('throttle:10,1')
        ->name('second.destroy');
    Route::get('/tokens', [TokenController::class, 'index'])->name('tokens.index');
    Route::post('/tokens', [TokenController::class, 'store'])->middleware('throttle:10,1')->name('tokens.store');
    Route::delete('/tokens/{token}', [TokenController::class, 'destroy'])->whereNumber('token')
        ->name('tokens.destroy');
    Route::delete('/sessions', [SessionController::class, 'destroy'])->name('sessions.destroy');

    Route::get('/rules', fn (Offer $offer) => redirect()->route('rules.edit', $offer))->name('rules')
        ->can('viewAny', RuleSet::class);
    Route::get('/rules/versions/{ruleSet}', [RulesController::class, 'version'])->name('rules.version')
        ->middleware('kept')->can('viewAny', RuleSet::class);
    Route::get('/rules/values', [RulesController::class, 'values'])->name('rules.values')
        ->can('viewAny', RuleSet::class);
    Route::get('/rules/suggestions', [RulesController::class, 'suggest'])->name('rules.suggest')
        ->can('viewAny', RuleSet::class);
    Route::get('/rules/{offer}', [RulesController::class, 'edit'])->name('rules.edit')->middleware('kept')
        ->can('viewAny', RuleSet::class);
    Route::post('/rules/{offer}/preview', [RulesController::class, 'preview'])->name('rules.preview')
        ->can('create', RuleSet::class);
    Route::post('/rules/{offer}/matches', [RulesController::class, 'matches'])->name('rules.matches')
        ->can('viewAny', RuleSet::class);
    Route::post('/rules/{offer}', [RulesController::class, 'store'])->name('rules.store')
        ->can('create', RuleSet::class);

    Route::get('/rules/{offer}/angles', [AngleController::class, 'index'])->name('angles.index')
        ->can('viewAny', RuleSet::class);
    Route::get('/rules/{offer}/angles/new', [AngleController::class, 'create'])->name('angles.create')
        ->can('create', RuleSet::class);
    Route::post('/rules/{offer}/angles', [AngleController::class, 'store'])->name('angles.store')
        ->can('create', RuleSet::class);
    Route::post('/rules/{offer}/angles/preview', [AngleController::class, 'preview'])->name('angles.preview')
        ->can('create', RuleSet::class);
    Route::post('/rules/{offer}/angles/restore/{ruleSet}', [AngleController::class, 'restore'])
        ->name('angles.restore')->can('create', RuleSet::class);
    Route::get('/rules/{offer}/angles/{at}', [AngleController::class, 'edit'])->name('angles.edit')
        ->whereNumber('at')->can('create', RuleSet::class);
    Route::post('/rules/{offer}/angles/{at}', [AngleController::class, 'store'])->name('angles.update')
        ->whereNumber('at')->can('create', RuleSet::class);
    Route::delete('/rules/{offer}/angles/{at}', [AngleController::class, 'destroy'])->name('angles.destroy')
        ->whereNumber('at')->can('create', RuleSet::class);

    Route::get('/rules/{offer}/stories', [StoryController::class, 'index'])->name('stories.index')
        ->can('create', Story::class);
    Route::get('/rules/{offer}/stories/new', [StoryController::class, 'create'])->name('stories.create')
        ->can('create', Story::class);
    Route::post('/rules/{offer}/stories', [StoryController::class, 'store'])->name('stories.store')
        ->can('create', Story::class);
    Route::get('/stories/{story}', [StoryController::class, 'edit'])->name('stories.edit')->can('update', 'story');
    Route::post('/stories/{story}', [StoryController::class, 'update'])->name('stories.update')
        ->can('update', 'story');
    Route::delete('/stories/{story}', [StoryController::class, 'destroy'])->name('stories.destroy')
        ->can('update', 'story');
    Route::post('/stories/{story}/restore', [StoryController::class, 'restore'])->name('stories.restore')
        ->withTrashed()->can('update', 'story');

    Route::get('/team/events', [EventTargetController::class, 'index'])->name('events.index')
        ->can('viewAny', EventTarget::class);
    Route::post('/team/events', [EventTargetController::class, 'store'])->name('events.store')
        ->can('create', EventTarget::class);
    Route::patch('/team/events/{target}', [EventTargetController::class, 'update'])->whereNumber('target')
        ->name('events.update')->can('update', 'target');
    Route::post('/team/events/{target}/again', [EventTargetController::class, 'again'])->whereNumber('target')
        ->name('events.again')->can('update', 'target');
    Route::delete('/team/events/{target}', [EventTargetController::class, 'destroy'])->whereNumber('target')
        ->name('events.destroy')->can('update', 'target');
    Route::get('/team', [TeamController::class, 'index'])->name('team.index')->can('viewAny', User::class);
    Route::post('/team', [TeamController::class, 'store'])->name('team.store')->can('create', User::class);
    Route::patch('/team/{user}', [TeamController::class, 'update'])->name('team.update')->can('update', 'user');
});
