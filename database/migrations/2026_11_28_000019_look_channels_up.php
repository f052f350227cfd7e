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
        Schema::create('look_up_services', function (Blueprint $table) use ($ascii): void {
            $table->id();
            $table->string('name', 60)->unique();
            $ascii($table, 'does', 8);
            $ascii($table, 'driver', 20)->default('json');
            $table->string('address', 500);
            $table->text('secret')->nullable();
            // Credits for each that is found.
            $table->double('price')->default(0);
            $table->unsignedTinyInteger('position');
            $table->boolean('paused')->default(false);
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
        });
        Schema::create('budgets', function (Blueprint $table): void {
            $table->id();
            // Nobody: the whole team.
            $table->foreignId('user_id')->nullable()->unique()->constrained()->cascadeOnDelete();
            $table->double('credits');
            $table->timestamps();
        });
        Schema::create('look_up_runs', function (Blueprint $table) use ($ascii): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('list_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 190);
            // Whether it is content with addresses that nobody can check.
            $table->boolean('accepts_doubtful')->default(false);
            $table->double('most')->nullable();
            $ascii($table, 'state', 10)->default('queued')->index();
            // Whose turn it is to go on; another worker that comes later leaves it.
            $ascii($table, 'worker', 16)->nullable();
            $table->string('problem', 500)->nullable();
            $table->dateTime('finished_at')->nullable();
            $table->timestamps();
        });
        Schema::create('looked_up', function (Blueprint $table) use ($ascii): void {
            $table->foreignId('look_up_run_id')->constrained()->cascadeOnDelete();
            $table->foreignId('contact_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $ascii($table, 'outcome', 10)->default('waiting');
            $table->string('why', 190)->nullable();
            $table->primary(['look_up_run_id', 'contact_id']);
        });
        Schema::create('look_ups', function (Blueprint $table) use ($ascii): void {
            $table->id();
            $table->foreignId('look_up_service_id')->constrained()->cascadeOnDelete();
            $table->foreignId('contact_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('look_up_run_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            // By it the service knows that it was asked before, and takes nothing a second time.
            $ascii($table, 'mark', 40)->unique();
            $ascii($table, 'state', 8)->default('asked');
            $table->string('value', 190)->nullable();
            $ascii($table, 'verdict', 12)->nullable();
            $table->double('price')->default(0);
            // Where and how large the house is: a service finds some better than others.
            $table->char('country', 2)->nullable();
            $table->unsignedTinyInteger('size')->nullable();
            $table->dateTime('asked_at')->index();
            $table->dateTime('answered_at')->nullable();
            $table->index(['contact_id', 'look_up_service_id']);
        });
        Schema::table('channels', function (Blueprint $table): void {
            $table->string('source', 60)->nullable();
            $table->dateTime('checked_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('channels', fn (Blueprint $table) => $table->dropColumn(['source', 'checked_at']));
        foreach (['look_ups', 'looked_up', 'look_up_runs', 'budgets', 'look_up_services'] as $table) {
            Schema::drop($table);
        }
    }
};
