<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    /** Large and small letters do not tell two profiles apart, accents do: as whoever compares them in PHP does. */
    public function up(): void
    {
        $this->collate('utf8mb4_uca1400_as_ci');
    }

    public function down(): void
    {
        $this->collate('utf8mb4_unicode_ci');
    }

    private function collate(string $collation): void
    {
        foreach (['contacts', 'relations'] as $table) {
            DB::statement(
                "ALTER TABLE $table MODIFY profile VARCHAR(190) CHARACTER SET utf8mb4 COLLATE $collation NULL",
            );
        }
    }
};
