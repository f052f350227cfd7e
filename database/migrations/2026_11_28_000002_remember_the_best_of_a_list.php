<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Of whom only the best were kept, the others are no newcomers. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('lists', function (Blueprint $table): void {
            $table->unsignedInteger('best')->nullable()->after('per_account');
        });
    }

    public function down(): void
    {
        Schema::table('lists', fn (Blueprint $table) => $table->dropColumn('best'));
    }
};
