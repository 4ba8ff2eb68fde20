<?php

declare(strict_types=1);

use Tests\Support\OwnData;
use Tests\Support\PictureFile;

/* The files of deploy/, as docs/deployment.md has them used, with Debian's nginx and php-fpm. */

/** One of the files with the paths, names and users of this test in the place of a server's. */
function deployed(string $file, OwnData $data, int $port): string
{
    return strtr((string) file_get_contents(base_path("deploy/{$file}")), [
        '/srv/aumbrel/storage/uploads' => "{$data->root}/uploads", '/srv/aumbrel' => base_path(), '/run/php/aumbrel.sock' => "{$data->root}/fpm.sock",
        'listen 80;' => "listen 127.0.0.1:{$port};", 'aumbrel.example' => '127.0.0.1', 'change-this' => 'heron-lantern', "user = aumbrel\ngroup = aumbrel" => 'user = '.posix_getpwuid(posix_geteuid())['name']."\ngroup = ".posix_getgrgid(posix_getegid())['name'],
        'www-data' => posix_getpwuid(posix_geteuid())['name'], 'include fastcgi_params' => 'include /etc/nginx/fastcgi_params',
    ]);
}

/** A PNG of one colour, of any size: its rows are made as they are written. */
function plainPng(string $file, int $width, int $height): void
{
    $chunk = fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
    $deflate = deflate_init(ZLIB_ENCODING_DEFLATE, ['level' => 1]);
    $row = "\0".str_repeat("\x40\x60\x80", $width);
    $data = '';
    for ($y = 0; $y < $height; $y++) {
        $data .= deflate_add($deflate, $row, ZLIB_NO_FLUSH);
    }
    $data .= deflate_add($deflate, '', ZLIB_FINISH);
    file_put_contents($file, "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NNC5', $width, $height, 8, 2, 0, 0, 0)).$chunk('IDAT', $data).$chunk('IEND', ''));
}

it('works as the deployment page says, with nginx and php-fpm', function (): void {
    foreach (['nginx', 'php-fpm8.2'] as $program) {
        if ((string) exec("command -v {$program}") === '') {
            $this->markTestSkipped("{$program} is not installed");
        }
    }
    $data = new OwnData;
    $port = freePort();
    mkdir("{$data->root}/uploads", 0o700);
    $environment = implode("\n", array_map(fn (string $name, string $value): string => "env[{$name}] = \"{$value}\"", array_keys($data->environment()), $data->environment()));
    file_put_contents("{$data->root}/fpm.conf", "[global]\nerror_log = {$data->root}/fpm.log\ndaemonize = no\n".deployed('php-fpm.conf', $data, $port)."\n{$environment}\n");
    file_put_contents("{$data->root}/nginx.conf", 'pid '.$data->root."/nginx.pid;\nerror_log {$data->root}/nginx.log;\nuser ".posix_getpwuid(posix_geteuid())['name'].";\nevents {}\nhttp {\n    include /etc/nginx/mime.types;\n    access_log off;\n    client_body_temp_path {$data->root}/body;\n    fastcgi_temp_path {$data->root}/fastcgi;\n".deployed('nginx.conf', $data, $port)."\n}\n");
    $services = [
        $data->start(['php-fpm8.2', '-y', "{$data->root}/fpm.conf", ...(posix_geteuid() === 0 ? ['-R'] : [])], out: "{$data->root}/out"),
        $data->start(['nginx', '-c', "{$data->root}/nginx.conf", '-p', $data->root, '-g', 'daemon off;'], out: "{$data->root}/out"),
    ];
    // the commands of the units, with their settings
    foreach (['render', 'exports'] as $unit) {
        $text = deployed("aumbrel-{$unit}.service", $data, $port);
        preg_match('/^ExecStart=\S+ (.+)$/m', $text, $command);
        preg_match('/^Environment=PHP_INI_SCAN_DIR=(.+)$/m', $text, $settings);
        $services[] = $data->start([PHP_BINARY, ...explode(' ', $command[1])], ['PHP_INI_SCAN_DIR' => getenv('PHP_INI_SCAN_DIR').$settings[1]], "{$data->root}/out");
    }
    $this->beforeApplicationDestroyed(function () use ($services, $data): void {
        foreach ($services as $service) {
            proc_terminate($service, SIGTERM);
            proc_close($service);
        }
        $data->remove();
    });
    $said = fn (): string => (string) @file_get_contents("{$data->root}/out").(string) @file_get_contents("{$data->root}/nginx.log").(string) @file_get_contents("{$data->root}/fpm.log");
    for ($until = microtime(true) + 20; healthOf($port) === null && microtime(true) < $until;) {
        usleep(100_000);
    }
    if (healthOf($port) === null) {
        $this->fail($said());
    }

    $curl = function (string $path, string ...$words) use ($port, $data): array {
        exec('curl -s -D '.escapeshellarg("{$data->root}/head").' -o '.escapeshellarg("{$data->root}/body.out").' -b '.escapeshellarg("{$data->root}/jar").' -c '.escapeshellarg("{$data->root}/jar").' '.implode(' ', array_map(escapeshellarg(...), $words))." 'http://127.0.0.1:{$port}{$path}'");

        // behind "100 Continue" stands what the answer really is
        preg_match_all('/^HTTP\S* (\d+)/m', (string) file_get_contents("{$data->root}/head"), $statuses);

        return [(int) end($statuses[1]), (string) file_get_contents("{$data->root}/body.out"), strtolower((string) file_get_contents("{$data->root}/head"))];
    };
    // the passphrase, the page, its headers
    expect($curl('/')[0])->toBe(302);
    preg_match('/name="_token" value="([^"]+)"/', $curl('/passphrase')[1], $token);
    expect($curl('/passphrase', '-d', "_token={$token[1]}", '-d', 'passphrase=heron-lantern')[0])->toBe(302);
    [$status, $page, $head] = $curl('/');
    expect($status)->toBe(200)->and($head)->toContain('content-security-policy')->not->toContain('x-powered-by');
    preg_match('#/build/assets/[\w.-]+\.js#', $page, $script);
    [$status, , $head] = $curl($script[0], '-H', 'Accept-Encoding: gzip');
    expect($status)->toBe(200)->and($head)->toContain('immutable')->toContain('content-encoding: gzip')->toContain('nosniff');
    expect($curl('/.env')[0])->toBe(404)->and($curl('/index.php')[0])->toBeIn([200, 404])->and($curl('/../.env')[0])->not->toBe(200);

    // a large picture: 100 megapixels when there is time for it
    [$width, $height] = getenv('AUMBREL_LONG') === false ? [3000, 2000] : [10000, 10000];
    plainPng("{$data->root}/large.png", $width, $height);
    $xsrf = preg_match('/XSRF-TOKEN\t(\S+)/', (string) file_get_contents("{$data->root}/jar"), $found) === 1 ? urldecode($found[1]) : '';
    [$status, $body] = $curl('/api/scenes', '-H', "X-XSRF-TOKEN: {$xsrf}", '-H', 'Accept: application/json', '-F', "file=@{$data->root}/large.png", '-m', '300');
    expect($status)->toBe(201, $body.$said());
    $scene = json_decode($body, true);
    expect([$scene['width'], $scene['height']])->toBe([$width, $height]);
    // bodies above what PHP takes by itself
    file_put_contents("{$data->root}/heavy.png", random_bytes(30_000_000));
    expect($curl('/api/scenes', '-H', "X-XSRF-TOKEN: {$xsrf}", '-H', 'Accept: application/json', '-F', "file=@{$data->root}/heavy.png")[0])->toBe(422);
    // the render processes and the exports do their work
    [$status, $body] = $curl("/api/scenes/{$scene['id']}/picture", '-H', 'Content-Type: application/json', '-d', json_encode(['view' => 'v', 'number' => 1, 'draft' => false, 'window' => [0, 0, 200, 100], 'scale' => 1]));
    expect($status)->toBe(200)->and(array_values(unpack('C3', framesOf($body)[0]['pixels'])))->toBe([0x40, 0x60, 0x80]);
    $small = json_decode($curl('/api/scenes', '-H', "X-XSRF-TOKEN: {$xsrf}", '-H', 'Accept: application/json', '-F', 'file=@'.PictureFile::png(64, 40)->getPathname())[1], true);
    $export = json_decode($curl("/api/scenes/{$small['id']}/exports", '-H', "X-XSRF-TOKEN: {$xsrf}", '-H', 'Accept: application/json', '-d', 'format=png')[1], true);
    exportOnceIt($data, $export['id'], fn (array $state): bool => $state['state'] === 'done');
    [$status, $body] = $curl("/api/scenes/{$small['id']}/exports/{$export['id']}/file");
    expect($status)->toBe(200)->and(substr($body, 1, 3))->toBe('PNG');
});

it('ships units that name only what is there', function (): void {
    foreach (glob(base_path('deploy/*.service')) as $unit) {
        preg_match('/^ExecStart=\S+ artisan (\S+)/m', (string) file_get_contents($unit), $command);
        expect(array_keys(Illuminate\Support\Facades\Artisan::all()))->toContain($command[1]);
    }
    foreach (glob(base_path('deploy/*')) as $file) {
        expect(file_get_contents(base_path('docs/deployment.md')))->toContain(preg_replace('/^aumbrel-(render|exports|sweep)\.service$/', 'aumbrel-*.service', basename($file)));
    }
});

it('has a title of its own for every demo scene: one whose title is there already would not be stored', function (): void {
    $files = glob(base_path('demo/*/{scene,*.scene}.json'), GLOB_BRACE) ?: [];
    $titles = array_map(static fn (string $file): string => json_decode((string) file_get_contents($file), true)['title'], $files);
    expect(count($files))->toBeGreaterThan(50)->and(array_keys(array_filter(array_count_values($titles), static fn (int $count): bool => $count > 1)))->toBe([]);
});
