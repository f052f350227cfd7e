<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('feeds', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 100)->unique();
            $table->string('format', 30)->charset('ascii')->collation('ascii_bin');
            $table->string('address', 500);
            // Minutes between two runs.
            $table->unsignedInteger('rhythm')->default(60);
            $table->double('confidence')->default(.9);
            $table->boolean('paused')->default(false);
            // How far a run has come: what the next one asks for, or goes on with.
            $table->longText('cursor')->nullable();
            $table->dateTime('next_at')->nullable()->index();
            $table->string('problem', 500)->nullable();
            $table->unsignedSmallInteger('failures')->default(0);
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
            $table->softDeletes();
        });
        Schema::create('feed_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('feed_id')->constrained()->cascadeOnDelete();
            $table->dateTime('started_at');
            $table->dateTime('finished_at')->nullable();
            foreach (['came', 'created', 'changed', 'same', 'gone', 'waiting', 'refused', 'signals'] as $count) {
                $table->unsignedInteger($count)->default(0);
            }
            $table->string('problem', 500)->nullable();
        });
        Schema::create('openings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->char('mark', 40)->charset('ascii')->collation('ascii_bin');
            $table->string('title', 255);
            $table->string('place', 190)->nullable();
            $table->string('type', 60)->nullable();
            $table->text('text')->nullable();
            $table->dateTime('since');
            $table->dateTime('newest_at');
            $table->dateTime('closed_at')->nullable();
            $table->unsignedSmallInteger('postings')->default(1);
            $table->string('agency', 190)->nullable();
            $table->unsignedInteger('functions')->default(0);
            $table->unique(['account_id', 'mark']);
        });
        // Whether only feeds tell of it.
        Schema::table('signals', fn (Blueprint $table) => $table->boolean('fed')->default(false)->after('derived'));
        Schema::create('press_classes', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 60)->unique();
            $table->string('kind', 20)->charset('ascii')->collation('ascii_bin');
            $table->text('query');
            $table->unsignedTinyInteger('position');
            $table->timestamps();
        });
        $this->items();
        $this->struck();
    }

    private function items(): void
    {
        Schema::create('feed_items', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('feed_id')->constrained()->cascadeOnDelete();
            $table->char('mark', 40)->charset('ascii')->collation('ascii_bin');
            $table->char('content', 40)->charset('ascii')->collation('ascii_bin');
            $table->string('kind', 12)->charset('ascii')->collation('ascii_bin');
            $table->string('title', 255);
            $table->string('link', 500)->nullable();
            $table->dateTime('at')->nullable();
            $table->mediumText('facts');
            $table->binary('raw');
            // What changed when: a list of times with the fields as they were.
            $table->mediumText('changes')->nullable();
            $table->string('state', 10)->charset('ascii')->collation('ascii_bin')->default('new');
            $table->string('why', 255)->nullable();
            $table->foreignId('account_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('opening_id')->nullable()->constrained()->nullOnDelete();
            $table->dateTime('gone_at')->nullable();
            $table->dateTime('seen_at');
            $table->timestamps();
            $table->unique(['feed_id', 'mark']);
            $table->index(['account_id', 'kind']);
            $table->index(['feed_id', 'state']);
        });
        // A page of a company can be longer than 64 KB.
        DB::statement('ALTER TABLE feed_items MODIFY raw MEDIUMBLOB NOT NULL');
        // Whom an item may be about, and how sure that is (rule 25).
        Schema::create('mentions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('feed_item_id')->constrained()->cascadeOnDelete();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->double('confidence');
            $table->string('because', 255);
            $table->boolean('in_title')->default(false);
            $table->string('verdict', 10)->charset('ascii')->collation('ascii_bin')->index();
            $table->foreignId('decided_by')->nullable()->constrained('users')->nullOnDelete();
            $table->unique(['feed_item_id', 'account_id']);
        });
        Schema::create('signal_sources', function (Blueprint $table): void {
            $table->foreignId('signal_id')->constrained()->cascadeOnDelete();
            $table->foreignId('feed_item_id')->constrained()->cascadeOnDelete();
            $table->double('confidence');
            $table->string('because', 255);
            $table->primary(['signal_id', 'feed_item_id']);
        });
    }

    /** Signals that somebody struck out stand apart, so that nothing that reads signals can count them. */
    private function struck(): void
    {
        Schema::create('struck_signals', function (Blueprint $table): void {
            $table->unsignedBigInteger('id')->primary();
            $table->char('fingerprint', 40)->charset('ascii')->collation('ascii_bin')->unique();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->mediumText('row');
            $table->mediumText('sources');
            $table->string('reason', 255);
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->dateTime('struck_at');
        });
    }

    public function down(): void
    {
        foreach ([
            'press_classes', 'struck_signals', 'signal_sources', 'mentions', 'feed_items', 'openings', 'feed_runs',
            'feeds',
        ] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('signals', fn (Blueprint $table) => $table->dropColumn('fed'));
    }
};
