<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Intake;
use App\Models\IntakeKind;
use Illuminate\Support\Facades\Artisan;
use Tests\TestCase;

/** What bin/luftig does: files in, what is found and planned out. */
final class ShellCommandsTest extends TestCase
{
    private const BY = ['--by' => 'mira@blasvik.example'];

    public function test_a_file_comes_in_as_it_is_understood_and_stands_under_intake(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'luftig');
        file_put_contents($path, "domain;name;headcount\ntunhede.example;<b>Tunhede</b>;420\n;nobody;1\n");
        $told = $this->runs('luftig:take', ['file' => $path]);
        self::assertSame(
            ['rows' => 2, 'created' => 1, 'waiting' => 1, 'kind' => 'accounts', 'state' => 'done'],
            array_intersect_key($told[0], array_flip(['rows', 'created', 'waiting', 'kind', 'state'])),
        );
        self::assertSame('waiting', $this->standing('tunhede.example')->state->value);
        $this->actingAs($this->rep)->post(route('intake.undo', Intake::query()->value('id')))->assertRedirect();
        self::assertSame(0, Account::query()->count());

        file_put_contents($path, 'x');
        $this->artisan('luftig:take', ['file' => $path] + self::BY)->assertFailed();
        $this->artisan('luftig:take', ['file' => "$path.not"] + self::BY)->assertFailed();
        $this->artisan('luftig:take', ['file' => $path, '--by' => 'nobody@blasvik.example'])
            ->expectsOutputToContain('Say who you are')->assertFailed();
        unlink($path);
    }

    public function test_what_is_found_and_what_is_planned_come_out_line_by_line(): void
    {
        $this->tunhede();
        $this->bring(IntakeKind::Accounts, "domain;name;headcount\nlovhult.example;<info>Lövhult</info>;90\n");
        $found = $this->runs('luftig:find', ['search' => 'on=accounts&c[0][f]=headcount&c[0][hi]=100']);
        self::assertSame(1, $found[0]['found']);
        self::assertSame(['lovhult.example', '<info>Lövhult</info>'], [$found[1]['domain'], $found[1]['account']]);
        $plan = $this->runs('luftig:plan', []);
        self::assertSame(['Glasverk Tunhede'], array_column($plan, 'account'));
        self::assertStringContainsString('Pernille', $plan[0]['words']);
        $this->artisan('luftig:find', ['search' => 'on=accounts&c[0][f]=headcount&c[0][hi]=many'] + self::BY)
            ->assertFailed();
        $this->artisan('luftig:find', ['--format' => 'exe'] + self::BY)->assertFailed();
        $this->artisan('luftig:plan', ['--offer' => 'None'] + self::BY)->assertFailed();
    }

    /**
     * @param  array<string, string>  $says
     * @return list<array<string, mixed>>
     */
    private function runs(string $command, array $says): array
    {
        ob_start();
        try {
            self::assertSame(0, Artisan::call($command, $says + self::BY));
        } finally {
            $written = (string) ob_get_clean();
        }

        return array_map(
            fn (string $line): array => json_decode($line, true, flags: JSON_THROW_ON_ERROR),
            explode("\n", trim($written.Artisan::output())),
        );
    }
}
