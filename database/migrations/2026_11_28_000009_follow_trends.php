<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What the months of headcounts say, worked out once: heads of functions, and how far they went.
        Schema::create('trends', function (Blueprint $table): void {
            $table->foreignId('account_id')->primary()->constrained()->cascadeOnDelete();
            $table->text('says');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('trends');
    }
};
