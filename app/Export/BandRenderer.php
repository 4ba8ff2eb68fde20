<?php

declare(strict_types=1);

namespace App\Export;

use App\Faults\DiskFull;
use App\Faults\RenderStopped;
use Aumbrel\Core\Fault\NotKept;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Render\Picture;
use Closure;
use Throwable;

/** Renders a window of any height in bands, on as many processes as there are cores, into a file of rows. */
final readonly class BandRenderer
{
    private const PIXELS_A_BAND = 400_000;

    /** @var Closure(): void */
    private Closure $stillWanted;

    /**
     * @param  Closure(Window): Picture  $render  renders one band; runs in processes of their own
     * @param  (Closure(): void)|null  $stillWanted  asked every second at least; throws to end it
     */
    public function __construct(private Closure $render, private int $processes, ?Closure $stillWanted = null)
    {
        $this->stillWanted = $stillWanted ?? static fn () => null;
    }

    /**
     * @param  8|16  $bits
     * @param  string  $raw  the file that takes the rows: red, green, blue, alpha
     * @param  callable(float): void  $progress  told the share that is done
     * @return int clipped pixels
     *
     * @throws SceneError when the scene cannot be rendered
     */
    public function render(Window $window, int $bits, string $raw, callable $progress): int
    {
        $bands = $this->bands($window);
        $pitch = $window->columns * intdiv($bits, 2);
        if (@file_put_contents($raw, '') === false) {
            throw DiskFull::writing('The rendered picture');
        }
        $count = min($this->processes, count($bands));
        $pipes = [];
        for ($process = 0; $process < $count; $process++) {
            $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0) ?: throw RenderStopped::early();
            $pid = pcntl_fork();
            if ($pid === 0) {
                fclose($pair[0]);
                $this->work($bands, $process, $count, $pitch, $raw, $pair[1]);
                // nothing of the parent's is to be shut down here
                posix_kill(posix_getpid(), SIGKILL);
            }
            fclose($pair[1]);
            $pipes[$pid] = $pair[0];
        }

        return $this->gather($pipes, count($bands), $progress);
    }

    /** @return list<Window> */
    private function bands(Window $window): array
    {
        $rows = max(1, min($window->rows, intdiv(self::PIXELS_A_BAND, $window->columns), (int) ceil($window->rows / $this->processes)));
        $bands = [];
        for ($first = 0; $first < $window->rows; $first += $rows) {
            $bands[] = $window->band($first, min($rows, $window->rows - $first));
        }

        return $bands;
    }

    /**
     * @param  list<Window>  $bands
     * @param  resource  $pipe
     */
    private function work(array $bands, int $process, int $count, int $pitch, string $raw, $pipe): void
    {
        try {
            $file = fopen($raw, 'c+b') ?: throw DiskFull::writing('The rendered picture');
            $parent = posix_getppid();
            for ($at = $process; $at < count($bands); $at += $count) {
                if (posix_getppid() !== $parent) {
                    // whoever asked for it is gone
                    return;
                }
                $picture = ($this->render)($bands[$at]);
                fseek($file, $bands[$at]->firstRow * $pitch);
                if (@fwrite($file, $picture->bytes) !== strlen($picture->bytes)) {
                    throw DiskFull::writing('The rendered picture');
                }
                fwrite($pipe, json_encode(['clipped' => $picture->clipped])."\n");
            }
            fclose($file);
            fwrite($pipe, json_encode(['done' => true])."\n");
        } catch (SceneError $error) {
            fwrite($pipe, json_encode(['field' => $error->field, 'problem' => $error->reason], JSON_INVALID_UTF8_SUBSTITUTE)."\n");
        } catch (DiskFull|NotKept $error) {
            fwrite($pipe, json_encode(['full' => true])."\n");
        } catch (Throwable $error) {
            fwrite(STDERR, "{$error}\n");
        }
    }

    /**
     * @param  array<int, resource>  $pipes  by process
     * @param  callable(float): void  $progress
     */
    private function gather(array $pipes, int $bands, callable $progress): int
    {
        $clipped = $finished = $rendered = 0;
        $problem = null;
        $open = $pipes;
        while ($open !== []) {
            $read = $open;
            $write = $except = null;
            if (@stream_select($read, $write, $except, 1) === false) {
                break;
            }
            ($this->stillWanted)();
            foreach ($read as $pid => $pipe) {
                $line = fgets($pipe);
                if ($line === false) {
                    unset($open[$pid]);

                    continue;
                }
                /** @var array{clipped?: int, done?: bool, problem?: string, field?: string, full?: bool} $said */
                $said = json_decode($line, true) ?? [];
                $finished += isset($said['done']) ? 1 : 0;
                $problem ??= match (true) {
                    isset($said['field'], $said['problem']) => new SceneError($said['field'], $said['problem']),
                    isset($said['full']) => DiskFull::writing('The rendered picture'),
                    default => null,
                };
                if (isset($said['clipped'])) {
                    $clipped += $said['clipped'];
                    $progress(++$rendered / $bands);
                }
            }
        }
        foreach (array_keys($pipes) as $pid) {
            pcntl_waitpid($pid, $status);
        }
        if ($problem !== null) {
            throw $problem;
        }
        if ($finished < count($pipes)) {
            throw RenderStopped::early();
        }

        return $clipped;
    }
}
