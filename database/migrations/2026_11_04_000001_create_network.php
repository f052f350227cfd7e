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
        Schema::create('affiliations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('contact_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12)->charset('ascii')->collation('ascii_bin');
            $table->string('name', 120);
            $table->unique(['contact_id', 'kind', 'name']);
            $table->index(['kind', 'name']);
        });
        Schema::create('relations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            // Null: the person is nobody's contact yet; found again by address, profile or name at the domain.
            $table->foreignId('contact_id')->nullable()->constrained()->nullOnDelete();
            $table->string('person', 190);
            $table->string('email', 190)->nullable()->index();
            $table->string('profile', 190)->nullable()->index();
            $table->string('domain', 190)->charset('ascii')->collation('ascii_bin')->nullable()->index();
            $table->date('since')->nullable();
            $table->unsignedInteger('exchanges')->nullable();
            $table->date('last_exchange')->nullable();
            $table->string('source', 80)->nullable();
            $table->foreignId('brought_by')->nullable()->constrained('users')->nullOnDelete();
            $table->char('fingerprint', 40)->charset('ascii')->collation('ascii_bin');
            $table->timestamps();
            $table->unique(['user_id', 'fingerprint']);
        });
        // Whose address book a file is, where no column says it.
        Schema::table(
            'intakes',
            fn (Blueprint $table) => $table->foreignId('whose_id')->nullable()->after('user_id')->constrained('users')
                ->nullOnDelete(),
        );
        Schema::create('stations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12)->charset('ascii')->collation('ascii_bin');
            $table->string('name', 190);
            $table->string('title', 190)->nullable();
            $table->unsignedInteger('reading')->default(0);
            $table->foreignId('account_id')->nullable()->constrained()->nullOnDelete();
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->foreignId('brought_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
        });
        Schema::create('pasted', function (Blueprint $table): void {
            $table->char('mark', 21)->charset('ascii')->collation('ascii_bin')->primary();
            $table->mediumText('text');
            $table->timestamp('created_at')->nullable();
        });
        Schema::create('tags', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 60)->unique();
            $table->timestamps();
        });
        Schema::create('taggings', function (Blueprint $table): void {
            $table->foreignId('tag_id')->constrained()->cascadeOnDelete();
            $table->string('subject', 8)->charset('ascii')->collation('ascii_bin');
            $table->unsignedBigInteger('record_id');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamp('created_at')->nullable();
            $table->primary(['tag_id', 'subject', 'record_id']);
            $table->index(['subject', 'record_id']);
        });
        // Accounts that are kept out by what they are called or say; without an entry of the keep-out it is an agency.
        Schema::create('recognised', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('keep_out_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('because', 190);
        });
        Schema::table('accounts', fn (Blueprint $table) => $table->boolean('no_agency')->default(false)->after(
            'status',
        ));
        // What is there already is looked through when it is next computed.
        DB::table('accounts')->update(['stale' => true]);
        // Who worked at a company that is nobody's account.
        Schema::table('posts', fn (Blueprint $table) => $table->index('company'));
        Schema::table('lists', function (Blueprint $table): void {
            // A batch that waits for the answers of another, its trial.
            $table->foreignId('held_for')->nullable()->after('per_account')->constrained('lists')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('intakes', fn (Blueprint $table) => $table->dropConstrainedForeignId('whose_id'));
        Schema::table('lists', fn (Blueprint $table) => $table->dropConstrainedForeignId('held_for'));
        Schema::table('posts', fn (Blueprint $table) => $table->dropIndex(['company']));
        Schema::table('accounts', fn (Blueprint $table) => $table->dropColumn('no_agency'));
        foreach (['pasted', 'recognised', 'taggings', 'tags', 'stations', 'relations', 'affiliations'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
