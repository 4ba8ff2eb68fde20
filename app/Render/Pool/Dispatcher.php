<?php

declare(strict_types=1);

namespace App\Render\Pool;

use App\Render\Painter;
use App\Render\RenderRequest;
use Aumbrel\Core\Scene\SceneError;
use Closure;
use RuntimeException;
use Throwable;

/**
 * Keeps a number of render processes, hands them what comes in on a unix socket, most urgent first, and streams their
 * answers back. What a newer request for the same view has made needless is dropped before it is rendered. A process
 * that dies is replaced; whoever waited for it is told, and renders for itself.
 */
final class Dispatcher
{
    /** @var resource */
    private $door;

    /** @var array<int, array{stream: resource, buffer: string, ticket: array{priority: int, view: string, number: int, band: int|null}|null}> */
    private array $callers = [];

    /**
     * What is still to be sent, by caller. A caller may take one answer after the other, so none may hold up the rest.
     *
     * @var array<int, string>
     */
    private array $unsent = [];

    /** @var array<int, array{stream: resource, pid: int, seat: int, buffer: string, caller: int|null}> */
    private array $workers = [];

    /** @var array<int, array{priority: int, view: string, number: int, band: int|null, payload: string, order: int}> by caller */
    private array $queue = [];

    /** @var array<string, int> the highest number seen, by view */
    private array $newest = [];

    private int $order = 0;

    private bool $stopping = false;

    /**
     * @param  Closure(): Painter  $painter
     * @param  RenderRequest|null  $warmUp  what each process renders before it serves, so that the first picture is not the one that pays for compiling
     */
    public function __construct(private readonly string $socket, private readonly int $processes, private readonly Closure $painter, private readonly ?RenderRequest $warmUp = null)
    {
    }

    public function run(): void
    {
        $this->open();
        for ($seat = 0; $seat < $this->processes; $seat++) {
            $this->hire($seat);
        }
        pcntl_async_signals(true);
        $stop = function (): void {
            $this->stopping = true;
        };
        pcntl_signal(SIGTERM, $stop);
        pcntl_signal(SIGINT, $stop);
        while (! $this->stopping) {
            $this->turn();
        }
        foreach ($this->workers as $worker) {
            posix_kill($worker['pid'], SIGKILL);
        }
        @unlink($this->socket);
    }

    private function open(): void
    {
        if (! is_dir(dirname($this->socket))) {
            mkdir(dirname($this->socket), 0o700, true);
        }
        @unlink($this->socket);
        $door = @stream_socket_server("unix://{$this->socket}", $code, $problem);
        $this->door = $door === false ? throw new RuntimeException("cannot listen on {$this->socket}: {$problem}") : $door;
        stream_set_blocking($this->door, false);
    }

    private function hire(int $seat): void
    {
        $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
        $pid = $pair === false ? -1 : pcntl_fork();
        if ($pair === false || $pid === -1) {
            throw new RuntimeException('cannot start a render process');
        }
        if ($pid === 0) {
            fclose($pair[0]);
            fclose($this->door);
            foreach ([...$this->callers, ...$this->workers] as ['stream' => $stream]) {
                fclose($stream);
            }
            $this->work($pair[1]);
            exit(0);
        }
        fclose($pair[1]);
        stream_set_blocking($pair[0], false);
        $this->workers[(int) $pair[0]] = ['stream' => $pair[0], 'pid' => $pid, 'seat' => $seat, 'buffer' => '', 'caller' => null];
    }

    /**
     * The life of a render process; it ends when the dispatcher is gone.
     *
     * @param  resource  $stream
     */
    private function work($stream): void
    {
        pcntl_signal(SIGTERM, SIG_DFL);
        pcntl_signal(SIGINT, SIG_DFL);
        $painter = ($this->painter)();
        try {
            if ($this->warmUp !== null) {
                $painter->paint($this->warmUp);
            }
        } catch (Throwable) {
            // a scene that cannot be rendered is told to whoever opens it
        }
        while (($payload = Frame::receive($stream)) !== null) {
            try {
                $answer = Answer::Painted->value.$painter->paint(RenderRequest::fromJson($payload))->pack();
            } catch (SceneError $error) {
                $answer = Answer::Problem->value.json_encode(['field' => $error->field, 'reason' => $error->reason], JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR);
            } catch (Throwable $error) {
                fwrite(STDERR, "render process: {$error}\n");
                $answer = Answer::Lost->value;
            }
            Frame::send($stream, $answer);
        }
    }

    private function turn(): void
    {
        $read = [$this->door];
        foreach ([...$this->callers, ...$this->workers] as ['stream' => $stream]) {
            $read[] = $stream;
        }
        $write = [];
        foreach (array_keys($this->unsent) as $caller) {
            $write[] = $this->callers[$caller]['stream'];
        }
        $except = null;
        if (@stream_select($read, $write, $except, 1) === false) {
            return;
        }
        foreach ($write as $stream) {
            $this->sendOn((int) $stream);
        }
        foreach ($read as $stream) {
            if ($stream === $this->door) {
                $this->welcome();
            } elseif (isset($this->workers[(int) $stream])) {
                $this->hearWorker((int) $stream);
            } elseif (isset($this->callers[(int) $stream])) {
                $this->hearCaller((int) $stream);
            }
        }
        $this->assign();
    }

    private function welcome(): void
    {
        while (($caller = @stream_socket_accept($this->door, 0)) !== false) {
            stream_set_blocking($caller, false);
            $this->callers[(int) $caller] = ['stream' => $caller, 'buffer' => '', 'ticket' => null];
        }
    }

    private function hearCaller(int $id): void
    {
        $stream = $this->callers[$id]['stream'];
        $bytes = @fread($stream, 1 << 20);
        if ($bytes === false || ($bytes === '' && feof($stream))) {
            $this->forget($id);

            return;
        }
        $this->callers[$id]['buffer'] .= $bytes;
        while (isset($this->callers[$id]) && ($message = Frame::take($this->callers[$id]['buffer'])) !== null) {
            $ticket = $this->callers[$id]['ticket'];
            if ($ticket !== null) {
                $this->enqueue($id, $ticket, $message);

                continue;
            }
            $read = json_decode($message, true);
            if (! is_array($read) || ! is_int($read['priority'] ?? null) || ! is_string($read['view'] ?? null) || ! is_int($read['number'] ?? null)) {
                $this->forget($id);

                return;
            }
            $this->callers[$id]['ticket'] = ['priority' => $read['priority'], 'view' => $read['view'], 'number' => $read['number'], 'band' => is_int($read['band'] ?? null) ? $read['band'] : null];
        }
    }

    /** @param  array{priority: int, view: string, number: int, band: int|null}  $ticket */
    private function enqueue(int $id, array $ticket, string $payload): void
    {
        $this->newest[$ticket['view']] = max($ticket['number'], $this->newest[$ticket['view']] ?? 0);
        if (count($this->newest) > 1000) {
            $this->newest = array_slice($this->newest, 500, null, true);
        }
        $this->queue[$id] = [...$ticket, 'payload' => $payload, 'order' => $this->order++];
    }

    private function hearWorker(int $id): void
    {
        $stream = $this->workers[$id]['stream'];
        $bytes = @fread($stream, 1 << 22);
        if ($bytes === false || ($bytes === '' && feof($stream))) {
            $this->replace($id);

            return;
        }
        $this->workers[$id]['buffer'] .= $bytes;
        $answer = Frame::take($this->workers[$id]['buffer']);
        if ($answer !== null) {
            $caller = $this->workers[$id]['caller'];
            $this->workers[$id]['caller'] = null;
            if ($caller !== null) {
                $this->reply($caller, $answer);
            }
        }
    }

    private function replace(int $id): void
    {
        ['caller' => $caller, 'seat' => $seat] = $this->workers[$id];
        posix_kill($this->workers[$id]['pid'], SIGKILL);
        pcntl_waitpid($this->workers[$id]['pid'], $status);
        fwrite(STDERR, "a render process ended (status {$status}) and is replaced\n");
        fclose($this->workers[$id]['stream']);
        unset($this->workers[$id]);
        if ($caller !== null) {
            $this->reply($caller, Answer::Lost->value);
        }
        $this->hire($seat);
    }

    private function assign(): void
    {
        uasort($this->queue, static fn (array $a, array $b): int => [$a['priority'], $a['order']] <=> [$b['priority'], $b['order']]);
        foreach ($this->queue as $caller => $entry) {
            if ($entry['number'] < $this->newest[$entry['view']]) {
                unset($this->queue[$caller]);
                $this->reply($caller, Answer::Dropped->value);

                continue;
            }
            foreach ($this->workers as $id => $worker) {
                // a band goes where the same band went before: there lies what it was made of
                if ($worker['caller'] === null && ($entry['band'] === null || $worker['seat'] === $entry['band'] % $this->processes)) {
                    unset($this->queue[$caller]);
                    $this->workers[$id]['caller'] = $caller;
                    if (! Frame::send($worker['stream'], $entry['payload'])) {
                        $this->replace($id);
                    }
                    break;
                }
            }
        }
    }

    private function reply(int $caller, string $answer): void
    {
        if (isset($this->callers[$caller])) {
            $this->unsent[$caller] = Frame::wrap($answer);
            $this->sendOn($caller);
        }
    }

    private function sendOn(int $caller): void
    {
        if (! isset($this->unsent[$caller])) {
            return;
        }
        $sent = @fwrite($this->callers[$caller]['stream'], $this->unsent[$caller]);
        if ($sent === false || $sent === strlen($this->unsent[$caller])) {
            $this->forget($caller);
        } elseif ($sent > 0) {
            $this->unsent[$caller] = substr($this->unsent[$caller], $sent);
        }
    }

    private function forget(int $caller): void
    {
        if (isset($this->callers[$caller])) {
            fclose($this->callers[$caller]['stream']);
        }
        unset($this->callers[$caller], $this->queue[$caller], $this->unsent[$caller]);
    }
}
