<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('standings', function (Blueprint $table): void {
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            // No foreign key: rule sets are never deleted, and its index would be written with every standing.
            $table->unsignedBigInteger('rule_set_id');
            $table->string('state', 10)->charset('ascii')->collation('ascii_bin');
            $table->string('cause', 190)->nullable();
            $table->double('fit');
            $table->double('fit_low');
            $table->double('fit_high');
            $table->double('coverage');
            $table->double('push');
            $table->double('access');
            $table->double('points');
            $table->double('priority')->nullable();
            $table->double('moved')->nullable();
            $table->date('act_by')->nullable();
            $table->text('criteria');
            $table->text('lines');
            $table->dateTime('computed_at');
            $table->primary(['account_id', 'offer_id']);
            // Without the points: they change every day, and ties by name have to be sorted anyhow.
            $table->index(['offer_id', 'state']);
        });
        Schema::create('keep_outs', function (Blueprint $table): void {
            $table->id();
            $table->string('type', 10);
            $table->string('value', 190);
            $table->foreignId('account_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('contact_id')->nullable()->constrained()->nullOnDelete();
            $table->string('reason', 190);
            $table->date('until')->nullable();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
            $table->index(['type', 'value']);
        });
        Schema::create('decisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('decision', 8)->charset('ascii')->collation('ascii_bin');
            $table->date('until')->nullable();
            $table->timestamps();
            $table->unique(['offer_id', 'account_id']);
        });
        Schema::create('notes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->text('text');
            $table->timestamps();
        });
        Schema::create('reasons', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('contact_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->text('words');
            $table->string('channel', 12)->nullable();
            $table->json('evidence');
            $table->date('expires_on');
            $table->timestamps();
            $table->index(['user_id', 'expires_on']);
        });
        Schema::create('approaches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('contact_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('reason_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind', 12)->charset('ascii')->collation('ascii_bin');
            $table->dateTime('made_at');
            $table->string('next_step', 190)->nullable();
            $table->date('next_step_on')->nullable();
            $table->string('result', 14)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->dateTime('result_at')->nullable();
            $table->date('later_on')->nullable();
            $table->string('instead', 190)->nullable();
            $table->json('snapshot');
            $table->timestamps();
            $table->index(['account_id', 'made_at']);
        });
    }

    public function down(): void
    {
        foreach (['approaches', 'reasons', 'notes', 'decisions', 'keep_outs', 'standings'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
