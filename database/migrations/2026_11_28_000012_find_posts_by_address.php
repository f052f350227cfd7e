<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        foreach (['signals', 'feed_items'] as $table) {
            DB::statement("ALTER TABLE $table ADD KEY {$table}_link_index (link(100))");
        }
    }

    public function down(): void
    {
        foreach (['signals', 'feed_items'] as $table) {
            DB::statement("ALTER TABLE $table DROP KEY {$table}_link_index");
        }
    }
};
