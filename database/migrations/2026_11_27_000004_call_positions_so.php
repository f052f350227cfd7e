<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A position is a job that somebody holds; a post is what somebody wrote. What was stored under the old word follows.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::rename('posts', 'positions');
        $this->say('post', 'position', 'left_post', 'left');
    }

    public function down(): void
    {
        Schema::rename('positions', 'posts');
        $this->say('position', 'post', 'left', 'left_post');
    }

    private function say(string $old, string $new, string $oldResult, string $newResult): void
    {
        foreach (['approaches' => ['result', $oldResult, $newResult], 'stations' => ['kind', $old, $new],
            'intake_changes' => ['record', $old, $new]] as $table => $which) {
            [$column, $from, $to] = $which;
            DB::table($table)->where($column, $from)->update([$column => $to]);
        }
        // Of the others, posts are what somebody wrote.
        DB::table('signals')->where('derived', true)->where('source', "{$old}s")->update(['source' => "{$new}s"]);
        foreach (['lists', 'watches'] as $table) {
            DB::update("UPDATE `$table` SET search = REPLACE(search, ?, ?)", ["in_$old", "in_$new"]);
        }
        DB::update(
            'UPDATE users SET recent_conditions = REPLACE(recent_conditions, ?, ?)',
            ["\"in_$old\"", "\"in_$new\""],
        );
        DB::update('UPDATE `doubles` SET moved = REPLACE(moved, ?, ?)', ["\"{$old}s\"", "\"{$new}s\""]);
    }
};
