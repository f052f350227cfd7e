<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What somebody stopped is told apart from what stopped because something was wrong. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('intakes', function (Blueprint $table): void {
            $table->foreignId('stopped_by')->nullable()->after('message')->constrained('users')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('intakes', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('stopped_by');
        });
    }
};
