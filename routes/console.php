<?php

use App\Jobs\AskFeed;
use App\Jobs\GatherPhrases;
use App\Jobs\MailAlerts;
use App\Jobs\RefreshStandings;
use App\Jobs\RunLookUps;
use App\Jobs\SendAnnouncements;
use App\Lists\RunWatch;
use App\LookUps\CheckAgain;
use App\Models\EventDelivery;
use App\Models\Submission;
use App\Support\Health;
use Illuminate\Support\Facades\Schedule;

Schedule::call(fn () => Health::beat())->name('beat')->everyMinute();
Schedule::job(RefreshStandings::ofEverything())->dailyAt('00:05')->withoutOverlapping();
Schedule::job(RefreshStandings::ofChanged())->everyMinute()->withoutOverlapping();
Schedule::call(fn () => RunWatch::runDue())->name('watches')->everyMinute()->withoutOverlapping();
Schedule::call(fn () => AskFeed::due())->name('feeds')->everyMinute()->withoutOverlapping();
Schedule::job(new SendAnnouncements)->everyMinute()->withoutOverlapping();
Schedule::job(new MailAlerts)->everyTenMinutes()->withoutOverlapping();
Schedule::job(new GatherPhrases)->dailyAt('01:30')->withoutOverlapping();
Schedule::call(fn () => RunLookUps::byOrder())->name('standing orders')->dailyAt('04:15')->withoutOverlapping();
Schedule::call(fn () => CheckAgain::due())->name('check addresses again')->dailyAt('03:30')->withoutOverlapping();
Schedule::command('luftig:resume')->everyMinute();
Schedule::command('luftig:tidy')->daily();
Schedule::command('model:prune', ['--model' => [Submission::class, EventDelivery::class]])->daily();
