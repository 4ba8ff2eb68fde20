<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Files\Folder as Remove;

/** A database and folders of a test's own, for tests that need several processes at once. */
final class OwnData
{
    public readonly string $root;

    /** @param  string|null  $root  a folder that is there already, such as a small file system */
    public function __construct(?string $root = null)
    {
        $this->root = $root ?? sys_get_temp_dir().'/aumbrel-own-'.bin2hex(random_bytes(6));
        @mkdir($this->root, 0o700, true);
        touch("{$this->root}/aumbrel.sqlite");
        $this->artisan('migrate', '--force', '--quiet');
    }

    /** @return array<string, string> */
    public function environment(): array
    {
        $at = fn (string $part): string => "{$this->root}/{$part}";

        return [
            'APP_ENV' => 'production', 'DB_DATABASE' => $at('aumbrel.sqlite'), 'QUEUE_CONNECTION' => 'database', 'AUMBREL_PICTURES' => $at('pictures'), 'AUMBREL_KERNELS' => $at('kernels'),
            'AUMBREL_SHAPES' => $at('shapes'), 'AUMBREL_EXPORTS' => $at('exports'), 'AUMBREL_KEPT' => $at('kept'), 'AUMBREL_TEMPORARY' => $at('uploads'), 'AUMBREL_RUN' => $at('run'), 'AUMBREL_SOCKET' => $at('render.sock'),
        ];
    }

    /** @return resource of a process that runs beside the test; its output goes to a file or nowhere */
    public function start(array $command, array $more = [], string $out = '/dev/null')
    {
        $process = proc_open($command, [1 => ['file', $out, 'a'], 2 => ['file', $out, 'a']], $pipes, base_path(), [...getenv(), ...$this->environment(), ...$more]);

        return is_resource($process) ? $process : throw new \RuntimeException('cannot start '.implode(' ', $command));
    }

    /** Runs one of the small programs of these tests with the application started; gives what it prints. */
    public function run(string $code, string ...$words): string
    {
        return $this->say(PHP_BINARY, $this->program($code), ...$words);
    }

    /** @return resource */
    public function runBeside(string $code, string $out, string ...$words)
    {
        return $this->start([PHP_BINARY, $this->program($code), ...$words], out: $out);
    }

    public function artisan(string ...$words): string
    {
        return $this->say(PHP_BINARY, base_path('artisan'), ...$words);
    }

    /** Runs a command on this data; gives what it prints, complaints too. */
    public function say(string ...$command): string
    {
        $environment = array_map(static fn (string $name, string $value): string => "{$name}=".escapeshellarg($value), array_keys($this->environment()), $this->environment());
        exec(implode(' ', [...$environment, ...array_map(escapeshellarg(...), $command), '2>&1']), $lines);

        return implode("\n", $lines);
    }

    public function remove(): void
    {
        Remove::remove($this->root);
    }

    /** Writes a small program that begins with the application started. */
    private function program(string $code): string
    {
        $file = "{$this->root}/".bin2hex(random_bytes(4)).'.php';
        file_put_contents($file, '<?php require '.var_export(base_path('vendor/autoload.php'), true).'; $app = require '.var_export(base_path('bootstrap/app.php'), true).'; $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
            function ask(string $method, string $path, array $body = [], array $headers = []): array { $request = Illuminate\Http\Request::create("http://127.0.0.1{$path}", $method, [], [], [], ["CONTENT_TYPE" => "application/json", "HTTP_ACCEPT" => "application/json"], json_encode($body));
                foreach ($headers as $name => $value) { $request->headers->set($name, $value); }
                $request->headers->set("X-Test", "1"); $kernel = app(Illuminate\Contracts\Http\Kernel::class); $response = $kernel->handle($request); return ["status" => $response->getStatusCode(), "says" => json_decode((string) $response->getContent(), true)]; }
            app()->bind(App\Http\Middleware\ForgeryOrToken::class, fn () => new class { public function handle($request, $next) { return $next($request); } });
            '.$code);

        return $file;
    }
}
