<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Accounts that were computed since an index was built, and stand in no index yet.
        Schema::create('finder_changes', function (Blueprint $table): void {
            $table->foreignId('account_id')->primary()->constrained()->cascadeOnDelete();
            $table->dateTime('changed_at', 6);
        });
        Schema::create('lists', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->string('name', 100);
            $table->string('subject', 8)->charset('ascii')->collation('ascii_bin');
            // How it was made: the address of the search.
            $table->text('search');
            $table->unsignedTinyInteger('per_account')->nullable();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
            $table->softDeletes();
            $table->index(['offer_id', 'name']);
        });
        Schema::create('list_members', function (Blueprint $table): void {
            $table->foreignId('list_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('record_id');
            // In the order in which they were kept, the best first.
            $table->unsignedInteger('position');
            // Of a sample; what is decided while stepping through the list stands apart, since that is no sample.
            $table->boolean('fits')->nullable();
            $table->boolean('keep')->nullable();
            $table->primary(['list_id', 'record_id']);
        });
        $this->watches();
    }

    private function watches(): void
    {
        Schema::create('watches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 100);
            $table->string('subject', 8)->charset('ascii')->collation('ascii_bin');
            $table->text('search');
            $table->string('rhythm', 8)->charset('ascii')->collation('ascii_bin');
            $table->unsignedTinyInteger('hour');
            $table->string('time_zone', 40);
            $table->boolean('mailed')->default(false);
            $table->dateTime('ran_at');
            $table->dateTime('next_at')->index();
            $table->timestamps();
            $table->softDeletes();
        });
        Schema::create('watch_finds', function (Blueprint $table): void {
            $table->foreignId('watch_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('record_id');
            // Null: was there when the watch began.
            $table->string('why', 255)->nullable();
            $table->dateTime('found_at');
            $table->boolean('unread')->default(false);
            $table->primary(['watch_id', 'record_id']);
        });
    }

    public function down(): void
    {
        foreach (['watch_finds', 'watches', 'list_members', 'lists', 'finder_changes'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
