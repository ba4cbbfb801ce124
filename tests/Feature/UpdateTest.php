<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** From one version to the next and back again, on an installation of its own; and away with it. */
final class UpdateTest extends TestCase
{
    private string $folder;

    private string $shop;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/oldpart-update-'.bin2hex(random_bytes(4));
        $this->shop = "{$this->folder}/shop";
        $this->program($this->shop, '1.0.0');
        $this->inShop('. bin/lib/common.sh; make_env; : >database/database.sqlite; php artisan migrate --force --quiet');
        $this->job('before');
    }

    protected function tearDown(): void
    {
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    /** The program as a release has it, linked where it can be. */
    private function program(string $to, string $version): void
    {
        $root = dirname(__DIR__, 2);
        mkdir("{$to}/core", 0777, true);
        mkdir("{$to}/database", 0777, true);
        mkdir("{$to}/public/build", 0777, true);
        foreach (['app', 'bin', 'bootstrap', 'config', 'resources', 'routes', 'artisan', 'composer.json', '.env.example', 'core/src', 'core/data', 'core/composer.json', 'database/migrations', 'database/seeders'] as $path) {
            exec('cp -al '.escapeshellarg("{$root}/{$path}").' '.escapeshellarg("{$to}/{$path}"));
        }
        // Large, and the same in each version here.
        symlink("{$root}/vendor", "{$to}/vendor");
        copy("{$root}/public/index.php", "{$to}/public/index.php");
        file_put_contents("{$to}/public/build/manifest.json", '{}');
        // What is written to is no link.
        exec('rm -rf '.escapeshellarg("{$to}/bootstrap/cache"));
        mkdir("{$to}/bootstrap/cache");
        foreach (['app', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'] as $own) {
            mkdir("{$to}/storage/{$own}", 0777, true);
        }
        file_put_contents("{$to}/VERSION", "{$version}\n");
    }

    /** A release, as an archive with its sum. */
    private function release(string $version, string $migration = ''): string
    {
        $name = "oldpart-fit-{$version}";
        $this->program("{$this->folder}/{$name}", $version);
        if ($migration !== '') {
            file_put_contents(
                "{$this->folder}/{$name}/database/migrations/2099_01_01_000001_of_the_next.php",
                "<?php\nuse Illuminate\\Database\\Migrations\\Migration;\nuse Illuminate\\Support\\Facades\\DB;\nreturn new class extends Migration { public function up(): void { {$migration} } };\n",
            );
        }
        $archive = "{$this->folder}/{$name}.tar.gz";
        exec("cd {$this->folder} && rm -rf {$name}/storage/logs && tar -cf - {$name} | gzip -1 > {$archive} && sha256sum {$name}.tar.gz > {$name}.tar.gz.sha256 && rm -rf {$name}");

        return $archive;
    }

    /** @return array{int, string} */
    private function inShop(string $command): array
    {
        $env = 'env -i PATH='.escapeshellarg((string) getenv('PATH')).' HOME='.escapeshellarg($this->folder).' APP_ENV=local';
        exec("cd {$this->shop} && {$env} bash -c ".escapeshellarg($command).' 2>&1 </dev/null', $said, $code);

        return [$code, implode("\n", $said)];
    }

    private function job(string $id): void
    {
        $file = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/core/tests/files/third-version.job.json'), true);
        file_put_contents("{$this->folder}/{$id}.json", json_encode([...$file, 'id' => $id]));
        $stored = <<<'PHP'
            require "vendor/autoload.php";
            $app = require "bootstrap/app.php";
            $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
            app(App\Bench\JobStore::class)->import((string) file_get_contents($argv[1]));
            PHP;
        [$code, $said] = $this->inShop('php -r '.escapeshellarg($stored)." {$this->folder}/{$id}.json");
        self::assertSame(0, $code, $said);
    }

    /** @return list<string> */
    private function jobs(): array
    {
        return array_map(strval(...), (new \PDO("sqlite:{$this->shop}/database/database.sqlite"))->query('select id from jobs order by id')?->fetchAll(\PDO::FETCH_COLUMN) ?: []);
    }

    private function version(): string
    {
        return trim((string) file_get_contents("{$this->shop}/VERSION"));
    }

    /** What of the shop's own must be as it was, whatever the program does. */
    private function own(): string
    {
        return (string) md5_file("{$this->shop}/.env");
    }

    public function test_to_the_next_version_and_back_with_the_shop_as_it_was(): void
    {
        $own = $this->own();
        $next = $this->release('1.1.0', "DB::statement('alter table jobs add column of_the_next text');");
        [$code, $said] = $this->inShop("bin/update {$next}");
        self::assertSame(0, $code, $said);
        self::assertStringContainsString('This is 1.1.0 now', $said);
        self::assertSame(['1.1.0', ['before']], [$this->version(), $this->jobs()]);
        self::assertSame($own, $this->own());
        self::assertCount(1, glob("{$this->shop}/storage/app/backups/*.zip") ?: []);
        [$code, $said] = $this->inShop('php artisan shop:tidy');
        self::assertSame(0, $code, $said);
        // The same again is nothing to do, and neither is an older one.
        [$code, $said] = $this->inShop("bin/update {$next}");
        self::assertSame([1, true], [$code, str_contains($said, 'nothing to do')], $said);
        // Back: what was written since is named, kept in a backup, and the shop stands as it was.
        $this->job('since');
        [$code, $said] = $this->inShop('bin/update --back');
        self::assertSame(1, $code);
        self::assertStringContainsString('--yes', $said);
        self::assertSame(['1.1.0', 2], [$this->version(), count($this->jobs())]);
        [$code, $said] = $this->inShop('bin/update --back --yes');
        self::assertSame(0, $code, $said);
        self::assertSame(['1.0.0', ['before']], [$this->version(), $this->jobs()]);
        self::assertCount(2, glob("{$this->shop}/storage/app/backups/*.zip") ?: []);
        [$code, $said] = $this->inShop('php artisan shop:tidy && php artisan migrate:status --pending');
        self::assertSame(0, $code, $said);
        [$code] = $this->inShop('bin/update --back --yes');
        self::assertSame(1, $code);
    }

    public function test_a_version_that_can_not_open_the_shop_leaves_everything_as_it_was(): void
    {
        $bad = $this->release('1.2.0', "DB::statement('alter table jobs add column half text'); throw new RuntimeException('it does not work');");
        [$code, $said] = $this->inShop("bin/update {$bad}");
        self::assertSame(1, $code);
        self::assertStringContainsString('it does not work', $said);
        self::assertStringContainsString('Everything is as it was before', $said);
        self::assertSame(['1.0.0', ['before']], [$this->version(), $this->jobs()]);
        $columns = (new \PDO("sqlite:{$this->shop}/database/database.sqlite"))->query("select name from pragma_table_info('jobs')")?->fetchAll(\PDO::FETCH_COLUMN) ?: [];
        self::assertNotContains('half', $columns);
        [$code, $said] = $this->inShop('php artisan shop:tidy && php artisan migrate:status --pending');
        self::assertSame(0, $code, $said);
        self::assertFileDoesNotExist("{$this->shop}/database/migrations/2099_01_01_000001_of_the_next.php");
    }

    public function test_what_is_no_release_is_left_alone(): void
    {
        $before = $this->version();
        file_put_contents("{$this->folder}/no.tar.gz", 'no archive');
        self::assertStringContainsString('no release', $this->inShop("bin/update {$this->folder}/no.tar.gz")[1]);
        self::assertStringContainsString('no file', $this->inShop('bin/update nowhere.tar.gz')[1]);
        // Cut off on the way.
        $next = $this->release('1.1.0');
        file_put_contents($next, substr((string) file_get_contents($next), 0, 400_000));
        self::assertStringContainsString('cut off or changed', $this->inShop("bin/update {$next}")[1]);
        self::assertSame([$before, ['before']], [$this->version(), $this->jobs()]);
    }

    public function test_the_program_goes_and_the_shop_stays(): void
    {
        mkdir("{$this->folder}/kept");
        [$code, $said] = $this->inShop("bin/uninstall --to {$this->folder}/kept");
        self::assertSame([1, true], [$code, str_contains($said, '--yes')], $said);
        self::assertFileExists("{$this->shop}/artisan");
        mkdir("{$this->shop}/inside");
        self::assertStringContainsString('inside of what is taken away', $this->inShop('bin/uninstall --to inside --yes')[1]);
        [$code, $said] = $this->inShop("bin/uninstall --to {$this->folder}/kept --yes");
        self::assertSame(0, $code, $said);
        self::assertFileDoesNotExist($this->shop);
        $backups = glob("{$this->folder}/kept/shop-2*.zip") ?: [];
        self::assertCount(1, $backups);
        // It is brought back into another installation.
        $this->program($this->shop, '1.0.0');
        [$code, $said] = $this->inShop(". bin/lib/common.sh; make_env; bin/restore {$backups[0]} --yes");
        self::assertSame(0, $code, $said);
        self::assertSame(['before'], $this->jobs());
        self::assertFileExists("{$this->folder}/kept/shop-open-files.zip");
    }

    /** The unit is one that the system takes, and its user may write in this folder alone. */
    public function test_the_service(): void
    {
        mkdir("{$this->folder}/tools");
        mkdir("{$this->folder}/units");
        foreach (['systemctl', 'useradd', 'chown'] as $tool) {
            file_put_contents("{$this->folder}/tools/{$tool}", "#!/bin/sh\necho \"{$tool} \$*\" >> {$this->folder}/called\n");
            chmod("{$this->folder}/tools/{$tool}", 0755);
        }
        [$code, $said] = $this->inShop("export PATH={$this->folder}/tools:\$PATH UNIT_DIR={$this->folder}/units SHOP_USER=daemon; bash -c 'function install_php { :; }; function build_front_end { :; }; export -f install_php build_front_end'; sed -i 's/^    install_php\$//; s/^    build_front_end\$//' bin/service; bin/service install --port 8090");
        if (posix_getuid() !== 0) {
            self::assertStringContainsString('sudo', $said);

            return;
        }
        self::assertSame(0, $code, $said);
        $unit = (string) file_get_contents("{$this->folder}/units/oldpart-fit.service");
        self::assertStringContainsString("ExecStart={$this->shop}/bin/start --no-open --port 8090\n", $unit);
        self::assertStringContainsString("ReadWritePaths={$this->shop}\n", $unit);
        self::assertStringContainsString('systemctl enable --now oldpart-fit.service', (string) file_get_contents("{$this->folder}/called"));
        exec("systemd-analyze verify {$this->folder}/units/oldpart-fit.service 2>&1", $wrong, $code);
        if ($code !== 127) {
            self::assertSame([], array_values(array_filter($wrong, static fn (string $line): bool => str_contains($line, 'oldpart-fit.service'))));
        }
        self::assertStringContainsString('no option', $this->inShop("export PATH={$this->folder}/tools:\$PATH UNIT_DIR={$this->folder}/units SHOP_USER=daemon; bin/service install '--port 80; rm'")[1]);
        [$code, $said] = $this->inShop("export PATH={$this->folder}/tools:\$PATH UNIT_DIR={$this->folder}/units; bin/service remove");
        self::assertSame(0, $code, $said);
        self::assertFileDoesNotExist("{$this->folder}/units/oldpart-fit.service");
    }
}
