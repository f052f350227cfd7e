<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    /** Addresses are kept in small letters; what an accent tells apart are two. */
    public function up(): void
    {
        DB::statement(
            'ALTER TABLE channels MODIFY value VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL',
        );
    }

    public function down(): void
    {
        DB::statement(
            'ALTER TABLE channels MODIFY value VARCHAR(190) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL',
        );
    }
};
