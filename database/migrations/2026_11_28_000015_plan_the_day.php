<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('standings', function (Blueprint $table): void {
            // The priority in five working days, and what the plan orders by (rule 18).
            $table->double('later')->nullable()->after('priority');
            $table->double('score')->nullable()->after('later')
                ->storedAs('priority + GREATEST(priority - IFNULL(later, 0), 0) / 2');
            $table->date('fades_on')->nullable()->after('act_by');
            $table->index(['offer_id', 'state', 'score']);
            $table->index(['offer_id', 'state', 'fades_on']);
        });
        Schema::table('reservations', fn (Blueprint $table) => $table->boolean('planned')->default(false));
    }

    public function down(): void
    {
        Schema::table('reservations', fn (Blueprint $table) => $table->dropColumn('planned'));
        Schema::table('standings', function (Blueprint $table): void {
            $table->dropIndex(['offer_id', 'state', 'fades_on']);
            $table->dropIndex(['offer_id', 'state', 'score']);
            $table->dropColumn('score');
            $table->dropColumn(['later', 'fades_on']);
        });
    }
};
