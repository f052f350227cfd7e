<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const COUNTS = ['waiting', 'unread', 'short', 'cleaned'];

    public function up(): void
    {
        Schema::table('intakes', function (Blueprint $table): void {
            foreach (self::COUNTS as $count) {
                $table->unsignedInteger($count)->default(0)->after('rejected');
            }
        });
        Schema::table('intake_rejections', function (Blueprint $table): void {
            // Refused for good, or waiting for somebody to say what is meant.
            $table->boolean('waits')->default(false);
        });
        Schema::create('intake_cells', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('intake_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('line');
            $table->string('heading', 190);
            $table->string('written', 500);
        });
        Schema::table('intakes', function (Blueprint $table): void {
            // What somebody said of days that can be read two ways, and of words that nobody else knows.
            $table->json('answers')->nullable()->after('mapping');
        });
        Schema::table('accounts', fn (Blueprint $table) => $table->string('name', 255)->change());
        foreach (['contacts', 'positions'] as $titled) {
            Schema::table($titled, fn (Blueprint $table) => $table->string('title', 255)->nullable()->change());
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('intake_cells');
        Schema::table('intake_rejections', fn (Blueprint $table) => $table->dropColumn('waits'));
        Schema::table('intakes', fn (Blueprint $table) => $table->dropColumn([...self::COUNTS, 'answers']));
    }
};
