<?php

use App\Jobs\AskFeed;
use App\Jobs\GatherPhrases;
use App\Jobs\MailAlerts;
use App\Jobs\RefreshStandings;
use App\Jobs\RunLookUps;
use App\Jobs\SendAnnouncements;
use App\Lists\RunWatch;
use App\LookUps\CheckAgain;
use App\Mail\Outbox;
use App\Models\EventDelivery;
use App\Models\Submission;
use App\Support\Health;
use App\Support\KeptPages;
use App\Support\KeyStatistics;
use Illuminate\Support\Facades\Schedule;

Schedule::call(fn () => Health::beat())->name('beat')->everyMinute();
Schedule::job(RefreshStandings::ofEverything())->dailyAt('00:05')->withoutOverlapping()->onOneServer();
Schedule::job(RefreshStandings::ofChanged())->everyMinute()->withoutOverlapping()->onOneServer();
Schedule::call(fn () => RunWatch::runDue())->name('watches')->everyMinute()->withoutOverlapping()->onOneServer();
Schedule::call(fn () => AskFeed::due())->name('feeds')->everyMinute()->withoutOverlapping()->onOneServer();
Schedule::job(new SendAnnouncements)->everyMinute()->withoutOverlapping()->onOneServer();
Schedule::job(new MailAlerts)->everyTenMinutes()->withoutOverlapping()->onOneServer();
Schedule::call(fn () => Outbox::send())->name('mails')->everyMinute()->withoutOverlapping()->onOneServer();
Schedule::job(new GatherPhrases)->dailyAt('01:30')->withoutOverlapping()->onOneServer();
Schedule::call(fn () => RunLookUps::byOrder())->name('standing orders')->dailyAt('04:15')->withoutOverlapping()
    ->onOneServer();
Schedule::call(fn () => CheckAgain::due())->name('check addresses again')->dailyAt('03:30')->withoutOverlapping()
    ->onOneServer();
Schedule::command('luftig:resume')->everyMinute()->onOneServer();
// On each machine, since each may ask a database of its own.
Schedule::call(fn () => KeyStatistics::refresh())->name('key statistics')->dailyAt('02:30');
Schedule::call(fn () => KeptPages::forget())->name('kept pages')->hourly();
Schedule::command('luftig:tidy')->daily()->onOneServer();
Schedule::command('model:prune', ['--model' => [Submission::class, EventDelivery::class]])->daily()->onOneServer();
