<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        DB::statement(
            'UPDATE lists JOIN lists earlier ON earlier.offer_id = lists.offer_id AND earlier.name = lists.name '
                .'AND earlier.id < lists.id AND earlier.deleted_at IS NULL '
                ."SET lists.name = CONCAT(LEFT(lists.name, 85), ' (', lists.id, ')') WHERE lists.deleted_at IS NULL",
        );
        Schema::table('lists', function (Blueprint $table): void {
            // A list that was removed leaves its name to others.
            $table->string('taken_name', 100)->nullable()->virtualAs('IF(deleted_at IS NULL, name, NULL)');
            $table->unique(['offer_id', 'taken_name']);
        });
    }

    public function down(): void
    {
        Schema::table('lists', function (Blueprint $table): void {
            $table->index('offer_id');
            $table->dropUnique(['offer_id', 'taken_name']);
            $table->dropColumn('taken_name');
        });
    }
};
