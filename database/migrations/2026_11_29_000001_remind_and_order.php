<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        $ascii = fn (Blueprint $table, string $name, int $length) => $table->string($name, $length)->charset('ascii')
            ->collation('ascii_bin');
        Schema::table('asks', function (Blueprint $table): void {
            $table->unsignedTinyInteger('reminders')->default(0)->after('remind_on');
            $table->dateTime('reminded_at')->nullable()->after('reminders');
        });
        Schema::table('offers', function (Blueprint $table): void {
            // A lead agreed that everybody may take those who answered as examples.
            $table->foreignId('answers_agreed_by')->nullable()->constrained('users')->nullOnDelete();
            $table->dateTime('answers_agreed_at')->nullable();
        });
        Schema::create('standing_orders', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            // A month.
            $table->double('credits');
            // Priority that an account must have.
            $table->double('least')->nullable();
            $table->boolean('accepts_doubtful')->default(false);
            $table->timestamps();
            $table->unique(['offer_id', 'user_id']);
        });
        Schema::table('look_up_runs', function (Blueprint $table): void {
            $table->foreignId('standing_order_id')->nullable()->constrained()->nullOnDelete();
            // Services that failed too often to be asked again before somebody says so.
            $table->string('left_out', 500)->nullable();
        });
        Schema::table('look_ups', function (Blueprint $table) use ($ascii): void {
            $table->foreignId('account_id')->nullable()->after('contact_id')->constrained()->nullOnDelete();
            $ascii($table, 'fact', 12)->nullable()->after('account_id');
        });
        // Figures of companies that a run asks for, as looked_up has its people.
        Schema::create('asked_figures', function (Blueprint $table) use ($ascii): void {
            $table->foreignId('look_up_run_id')->constrained()->cascadeOnDelete();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $ascii($table, 'fact', 12);
            $table->unsignedInteger('position');
            $ascii($table, 'outcome', 10)->default('waiting');
            $table->string('why', 190)->nullable();
            $table->primary(['look_up_run_id', 'account_id', 'fact']);
        });
    }

    public function down(): void
    {
        Schema::table('offers', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('answers_agreed_by');
            $table->dropColumn('answers_agreed_at');
        });
        Schema::drop('asked_figures');
        Schema::table('look_ups', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('account_id');
            $table->dropColumn('fact');
        });
        Schema::table('look_up_runs', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('standing_order_id');
            $table->dropColumn('left_out');
        });
        Schema::drop('standing_orders');
        Schema::table('asks', fn (Blueprint $table) => $table->dropColumn(['reminders', 'reminded_at']));
    }
};
