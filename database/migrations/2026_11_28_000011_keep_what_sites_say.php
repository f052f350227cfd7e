<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('site_texts', function (Blueprint $table): void {
            $table->foreignId('account_id')->primary()->constrained()->cascadeOnDelete();
            $table->mediumText('text');
            $table->dateTime('seen_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('site_texts');
    }
};
