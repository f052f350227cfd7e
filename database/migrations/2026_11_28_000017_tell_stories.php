<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('stories', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('offer_id')->constrained()->cascadeOnDelete();
            $table->foreignId('account_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 120);
            $table->boolean('named')->default(false);
            $table->date('told_from')->nullable();
            // Of the customer, where it is no account of ours or is told otherwise.
            $table->json('industries');
            $table->unsignedInteger('headcount')->nullable();
            $table->char('country', 2)->nullable();
            $table->json('technologies');
            $table->json('words');
            $table->softDeletes();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::drop('stories');
    }
};
