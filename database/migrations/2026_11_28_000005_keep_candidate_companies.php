<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('candidate_companies', function (Blueprint $table): void {
            $table->id();
            $table->char('mark', 40)->charset('ascii')->collation('ascii_bin')->unique();
            $table->string('name', 190);
            $table->string('domain', 190)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->string('place', 100)->nullable();
            $table->char('country', 2)->nullable();
            $table->string('agency', 190)->nullable();
            $table->dateTime('last_at');
            $this->decision($table);
            $table->foreignId('account_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('intake_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
        });
        Schema::table('feed_items', function (Blueprint $table): void {
            $table->foreignId('candidate_company_id')->nullable()->after('account_id')->constrained()->nullOnDelete();
        });
        Schema::table('candidates', fn (Blueprint $table) => $this->decision($table));
    }

    private function decision(Blueprint $table): void
    {
        $table->string('state', 8)->charset('ascii')->collation('ascii_bin')->default('open')->index();
        $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
    }

    public function down(): void
    {
        Schema::table('candidates', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('user_id');
            $table->dropColumn('state');
        });
        Schema::table('feed_items', fn (Blueprint $table) => $table->dropConstrainedForeignId('candidate_company_id'));
        Schema::dropIfExists('candidate_companies');
    }
};
