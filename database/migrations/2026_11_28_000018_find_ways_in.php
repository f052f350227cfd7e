<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('contacts', function (Blueprint $table): void {
            // The best way to them through one of us, as it was computed last (rules 5 and 10).
            $table->double('intro')->default(0);
            $table->foreignId('intro_by')->nullable()->constrained('users')->nullOnDelete();
            $table->foreignId('intro_via')->nullable()->constrained('contacts')->nullOnDelete();
        });
        Schema::create('asks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('contact_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            // One of the two is asked.
            $table->foreignId('asked_user_id')->nullable()->constrained('users')->cascadeOnDelete();
            $table->foreignId('asked_contact_id')->nullable()->constrained('contacts')->cascadeOnDelete();
            $table->foreignId('approach_id')->nullable()->constrained()->nullOnDelete();
            $table->json('people');
            $table->text('request');
            $table->text('forward');
            $table->string('state', 12)->charset('ascii')->collation('ascii_bin')->default('asked');
            $table->string('answer', 1000)->nullable();
            $table->dateTime('asked_at')->index();
            $table->dateTime('answered_at')->nullable();
            $table->date('remind_on')->nullable();
            $table->dateTime('thanked_at')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::drop('asks');
        Schema::table('contacts', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('intro_via');
            $table->dropConstrainedForeignId('intro_by');
            $table->dropColumn('intro');
        });
    }
};
