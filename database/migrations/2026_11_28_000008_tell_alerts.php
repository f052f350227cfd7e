<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->string('time_zone', 50)->default('UTC');
            $table->unsignedTinyInteger('digest_hour')->default(7);
            // The last day, of their own, on which a digest went out.
            $table->date('digest_on')->nullable();
        });
        Schema::create('private_addresses', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('what', 10)->charset('ascii')->collation('ascii_bin');
            $table->char('hash', 64)->charset('ascii')->collation('ascii_bin')->unique();
            $table->dateTime('made_at');
            $table->primary(['user_id', 'what']);
        });
        Schema::create('alerts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            // Null: all that count for the offer.
            $table->json('kinds')->nullable();
            $table->string('about', 10)->charset('ascii')->collation('ascii_bin');
            $table->foreignId('list_id')->nullable()->constrained('lists')->cascadeOnDelete();
            $table->foreignId('account_id')->nullable()->constrained()->cascadeOnDelete();
            $table->boolean('on_today')->default(true);
            $table->boolean('by_mail')->default(false);
            $table->boolean('in_feed')->default(false);
            $table->timestamps();
        });
        Schema::create('alerted_signals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('signal_id')->nullable()->constrained()->nullOnDelete();
            // A signal that is withdrawn and comes again is known by it.
            $table->char('fingerprint', 40)->charset('ascii')->collation('ascii_bin');
            $table->boolean('on_today');
            $table->boolean('by_mail');
            $table->boolean('in_feed');
            $table->dateTime('told_at');
            $table->dateTime('seen_at')->nullable();
            $table->dateTime('mailed_at')->nullable();
            $table->unique(['user_id', 'fingerprint']);
            $table->index(['user_id', 'told_at']);
        });
    }

    public function down(): void
    {
        foreach (['alerted_signals', 'alerts', 'private_addresses'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn(['time_zone', 'digest_hour', 'digest_on']));
    }
};
