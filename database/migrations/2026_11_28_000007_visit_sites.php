<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('site_visits', function (Blueprint $table): void {
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->dateTime('at');
            $table->boolean('reached');
            // Technologies with what showed each.
            $table->text('found');
            $table->primary(['account_id', 'at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('site_visits');
    }
};
