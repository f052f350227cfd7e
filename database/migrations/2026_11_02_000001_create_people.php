<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('accounts', function (Blueprint $table): void {
            // How names that may be equal are found (CompanyName::key).
            $table->char('name_key', 16)->charset('ascii')->collation('ascii_bin')->default('')->after('name')->index();
            $table->foreignId('merged_into')->nullable()->after('parent_id')->constrained('accounts')->nullOnDelete();
        });
        Schema::table('contacts', function (Blueprint $table): void {
            // What the title says, packed (Title::packed); 0 is what cannot be read.
            $table->unsignedInteger('reading')->default(0)->after('title')->index();
            $table->json('by_hand')->nullable()->after('confidence');
            $table->foreignId('merged_into')->nullable()->after('account_id')->constrained('contacts')->nullOnDelete();
        });
        Schema::table('posts', function (Blueprint $table): void {
            $table->unsignedInteger('reading')->default(0)->after('title');
            $table->char('company_key', 16)->charset('ascii')->collation('ascii_bin')->nullable()->after('company')
                ->index();
            $table->boolean('by_hand')->default(false);
        });
        Schema::table('signals', function (Blueprint $table): void {
            $table->boolean('derived')->default(false);
            // Whom an opening concerns, as a set of functions.
            $table->unsignedInteger('concerns')->default(0);
            // Only what follows from an offer's buyer roles belongs to one offer.
            $table->foreignId('offer_id')->nullable()->constrained()->cascadeOnDelete();
            $table->index(
                [
                    'account_id', 'kind', 'occurred_at', 'strength', 'confidence', 'since', 'contact_id', 'concerns',
                    'offer_id',
                ],
                'signals_all',
            );
            $table->dropIndex('signals_reading');
            $table->renameIndex('signals_all', 'signals_reading');
        });
        // Records that were created one after another are written down as one.
        Schema::table('intake_changes', fn (Blueprint $table) => $table->unsignedInteger('count')->default(1)->after(
            'record_id',
        ));
        Schema::table('offers', fn (Blueprint $table) => $table->string('question', 190)->nullable()->after('about'));
        Schema::table('rule_sets', function (Blueprint $table): void {
            $table->json('buyer_roles')->default('[]')->after('kinds');
            $table->json('roles_of_interest')->default('[]')->after('buyer_roles');
        });
        Schema::table('standings', function (Blueprint $table): void {
            $table->text('contacts')->nullable()->after('lines');
            $table->double('best_contact')->nullable()->after('contacts');
            foreach (['signs_off', 'shapes', 'champion', 'user', 'next_door'] as $part) {
                $table->unsignedSmallInteger($part)->default(0)->after('best_contact');
            }
        });
        Schema::create('title_lessons', function (Blueprint $table): void {
            $table->id();
            $table->string('folded', 190)->unique();
            $table->string('title', 190);
            $table->unsignedInteger('reading');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
        });
        Schema::create('reservations', function (Blueprint $table): void {
            $table->id();
            // One at a time: of two who take a person at once, the key lets one through.
            $table->foreignId('contact_id')->unique()->constrained()->cascadeOnDelete();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->date('until');
            $table->timestamps();
        });
        Schema::create('group_places', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('contact_id')->constrained()->cascadeOnDelete();
            $table->string('part', 10)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->boolean('removed')->default(false);
            $table->foreignId('reports_to')->nullable()->constrained('contacts')->nullOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
            $table->unique(['offer_id', 'contact_id']);
        });
        Schema::create('doubles', function (Blueprint $table): void {
            $table->id();
            $table->string('record', 8)->charset('ascii')->collation('ascii_bin');
            $table->unsignedBigInteger('first_id');
            $table->unsignedBigInteger('second_id');
            $table->double('score');
            $table->json('because');
            $table->string('state', 8)->charset('ascii')->collation('ascii_bin')->default('open');
            $table->json('moved')->nullable();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
            $table->unique(['record', 'first_id', 'second_id']);
            $table->index('state');
        });
        Schema::create('erasures', function (Blueprint $table): void {
            $table->id();
            $table->char('fingerprint', 64)->charset('ascii')->collation('ascii_bin')->unique();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamp('created_at')->nullable();
        });
    }

    public function down(): void
    {
        foreach (['erasures', 'doubles', 'group_places', 'reservations', 'title_lessons'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('standings', fn (Blueprint $table) => $table->dropColumn(
            ['contacts', 'best_contact', 'signs_off', 'shapes', 'champion', 'user', 'next_door'],
        ));
        Schema::table('intake_changes', fn (Blueprint $table) => $table->dropColumn('count'));
        Schema::table('offers', fn (Blueprint $table) => $table->dropColumn('question'));
        Schema::table('rule_sets', fn (Blueprint $table) => $table->dropColumn(['buyer_roles', 'roles_of_interest']));
        Schema::table('signals', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('offer_id');
            $table->dropIndex('signals_reading');
            $table->dropColumn(['derived', 'concerns']);
            $table->index(['account_id', 'kind', 'occurred_at', 'strength', 'confidence', 'since'], 'signals_reading');
        });
        Schema::table('posts', fn (Blueprint $table) => $table->dropColumn(['reading', 'company_key', 'by_hand']));
        Schema::table('contacts', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('merged_into');
            $table->dropColumn(['reading', 'by_hand']);
        });
        Schema::table('accounts', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('merged_into');
            $table->dropColumn('name_key');
        });
    }
};
