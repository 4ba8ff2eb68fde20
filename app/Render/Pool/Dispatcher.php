<?php

declare(strict_types=1);

namespace App\Render\Pool;

use App\Faults\RenderStopped;
use App\Render\Painter;
use App\Render\RenderRequest;
use Aumbrel\Core\Render\Watch;
use Closure;

/**
 * Keeps a number of render processes, hands them what comes in on a unix socket, most urgent first, and streams their
 * answers back. What a newer request for the same view has made needless is dropped before it is rendered, and withdrawn
 * while it is, unless it is a draft; so is what was asked for by somebody who has gone. What can wait is put off when it keeps
 * a process from what somebody looks at. A process that dies is replaced; whoever waited for it is told.
 *
 * Asked with an empty ticket it tells how it stands ({@see PoolClient::stand}).
 */
final class Dispatcher
{
    /** Whoever waits hears at least this often that the work goes on. */
    private const WORKING_SECONDS = 1.0;

    /** What can wait is begun only when nothing urgent was begun or done so long: between two drafts of a drag it would be in the way. */
    private const REST_SECONDS = 0.25;

    private const MOST_VIEWS = 1000;

    /** Processes that decode pictures beside those that render; each ends with its errand. */
    private const MOST_TAKING = 2;

    /** The seat of those. */
    private const NO_SEAT = -1;

    /** @var resource */
    private $door;

    private readonly Callers $callers;

    /** @var array<int, array{stream: resource, pid: int, seat: int, buffer: string, errand: int|null, caller: int|null, payload: string}> */
    private array $workers = [];

    /** @var array<int, array{ticket: Ticket, payload: string, order: int}> by caller */
    private array $queue = [];

    /** @var array<string, int> the highest number seen, by view */
    private array $newest = [];

    private int $order = 0;

    private int $errands = 0;

    private bool $stopping = false;

    private float $saidWorking = 0.0;

    /** When something urgent was last begun or done. */
    private float $lastUrgent = 0.0;

    /** @var array{rows: int, painted: int, withdrawn: int, dropped: int} since the start; rows also of pictures that were withdrawn */
    private array $done = ['rows' => 0, 'painted' => 0, 'withdrawn' => 0, 'dropped' => 0];

    /**
     * @param  Closure(Watch): Painter  $painter
     * @param  RenderRequest|null  $warmUp  what each process renders before it serves, so that the first picture is not the one that pays for compiling
     * @param  (Closure(TakeIn, Watch): ?array<string, mixed>)|null  $taking  decodes a picture; gives what went wrong
     */
    public function __construct(private readonly string $socket, private readonly int $processes, private readonly Closure $painter, private readonly ?RenderRequest $warmUp = null, private readonly ?Closure $taking = null)
    {
        $this->callers = new Callers;
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
        $this->door = $door === false ? throw new RenderStopped("The render processes cannot listen on {$this->socket}: {$problem}.") : $door;
        stream_set_blocking($this->door, false);
    }

    /** @return int the new process, by its line */
    private function hire(int $seat): int
    {
        $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
        $pid = $pair === false ? -1 : pcntl_fork();
        if ($pair === false || $pid === -1) {
            throw RenderStopped::early();
        }
        if ($pid === 0) {
            fclose($pair[0]);
            fclose($this->door);
            foreach ([...$this->callers->streams(), ...array_column($this->workers, 'stream')] as $stream) {
                fclose($stream);
            }
            pcntl_signal(SIGTERM, SIG_DFL);
            pcntl_signal(SIGINT, SIG_DFL);
            (new RenderProcess($pair[1], $this->taking))->run($this->painter, $seat === self::NO_SEAT ? null : $this->warmUp);
            exit(0);
        }
        fclose($pair[1]);
        stream_set_blocking($pair[0], false);
        $this->workers[(int) $pair[0]] = ['stream' => $pair[0], 'pid' => $pid, 'seat' => $seat, 'buffer' => '', 'errand' => null, 'caller' => null, 'payload' => ''];

        return (int) $pair[0];
    }

    private function turn(): void
    {
        $read = [$this->door, ...$this->callers->streams(), ...array_column($this->workers, 'stream')];
        $write = $this->callers->unsent();
        $except = null;
        if (@stream_select($read, $write, $except, $this->queue === [] ? 1 : 0, (int) (1e6 * self::REST_SECONDS / 2)) === false) {
            return;
        }
        foreach ($write as $stream) {
            if (! $this->callers->sendOn((int) $stream)) {
                $this->forget((int) $stream);
            }
        }
        foreach ($read as $stream) {
            if ($stream === $this->door) {
                $this->callers->welcome($this->door);
            } elseif (isset($this->workers[(int) $stream])) {
                $this->hearWorker((int) $stream);
            } elseif ($this->callers->has((int) $stream)) {
                $this->hearCaller((int) $stream);
            }
        }
        $this->assign();
        $this->sayWorking();
    }

    private function hearCaller(int $id): void
    {
        if (! $this->callers->hear($id)) {
            $this->forget($id);

            return;
        }
        while (($message = $this->callers->message($id)) !== null) {
            $ticket = $this->callers->ticket($id);
            if ($ticket !== null) {
                $this->enqueue($id, $ticket, $message);
            } elseif ($message === '') {
                $this->reply($id, json_encode($this->stand(), JSON_THROW_ON_ERROR));
            } elseif (($ticket = Ticket::fromJson($message)) !== null) {
                $this->callers->handTicket($id, $ticket);
            } else {
                $this->forget($id);
            }
        }
    }

    private function enqueue(int $id, Ticket $ticket, string $payload): void
    {
        $this->newest[$ticket->view] = max($ticket->number, $this->newest[$ticket->view] ?? 0);
        if (count($this->newest) > self::MOST_VIEWS) {
            $this->newest = array_slice($this->newest, intdiv(self::MOST_VIEWS, 2), null, true);
        }
        $this->queue[$id] = ['ticket' => $ticket, 'payload' => $payload, 'order' => $this->order++];
        foreach ($this->workers as $worker => ['caller' => $caller]) {
            // a draft is nearly done anyway, and two of them are always under way
            $busyWith = $caller === null ? null : $this->callers->ticket($caller);
            if ($busyWith !== null && $busyWith->view === $ticket->view && $busyWith->number < $ticket->number && $busyWith->priority !== Priority::Draft) {
                $this->withdraw($worker);
                $this->drop((int) $caller);
            }
        }
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
            $this->workers[$id]['caller'] = $this->workers[$id]['errand'] = null;
            $this->workers[$id]['payload'] = '';
            $this->count($answer);
            if ($caller !== null) {
                $this->noteUrgent($this->callers->ticket($caller));
                $this->reply($caller, $answer);
            }
            if ($this->workers[$id]['seat'] === self::NO_SEAT) {
                $this->dismiss($id);
            }
        }
    }

    /** @return int the status with which it ended */
    private function dismiss(int $id): int
    {
        posix_kill($this->workers[$id]['pid'], SIGKILL);
        pcntl_waitpid($this->workers[$id]['pid'], $status);
        fclose($this->workers[$id]['stream']);
        unset($this->workers[$id]);

        return is_int($status) ? $status : 0;
    }

    private function count(string $answer): void
    {
        if ($answer[0] === Answer::Painted->value) {
            $this->done['painted']++;
            $this->done['rows'] += Reply::rowsOf($answer);
        } elseif ($answer[0] === Answer::Withdrawn->value) {
            $this->done['withdrawn']++;
            $this->done['rows'] += (int) substr($answer, 1);
        }
    }

    private function replace(int $id): void
    {
        ['caller' => $caller, 'seat' => $seat] = $this->workers[$id];
        $status = $this->dismiss($id);
        fwrite(STDERR, "a render process ended (status {$status})".($seat === self::NO_SEAT ? '' : ' and is replaced')."\n");
        if ($caller !== null) {
            $this->reply($caller, Answer::Lost->value);
        }
        if ($seat !== self::NO_SEAT) {
            $this->hire($seat);
        }
    }

    private function assign(): void
    {
        uasort($this->queue, static fn (array $a, array $b): int => [$a['ticket']->priority->value, $a['order']] <=> [$b['ticket']->priority->value, $b['order']]);
        foreach ($this->queue as $caller => ['ticket' => $ticket, 'payload' => $payload]) {
            if ($ticket->number < $this->newest[$ticket->view]) {
                $this->drop($caller);

                continue;
            }
            $worker = $this->free($ticket);
            if ($worker === null) {
                $this->makeRoom($ticket);
            } else {
                unset($this->queue[$caller]);
                $this->noteUrgent($ticket);
                $this->workers[$worker]['caller'] = $caller;
                $this->workers[$worker]['payload'] = $payload;
                $this->workers[$worker]['errand'] = ++$this->errands;
                if (! Frame::send($this->workers[$worker]['stream'], (new Errand($this->errands, $payload))->pack())) {
                    $this->replace($worker);
                }
            }
        }
    }

    /** A process that may do what a ticket asks for; null when none is free. */
    private function free(Ticket $ticket): ?int
    {
        if ($ticket->priority->canWait() && microtime(true) - $this->lastUrgent < self::REST_SECONDS) {
            return null;
        }
        if ($ticket->priority === Priority::Intake) {
            $taking = array_filter($this->workers, static fn (array $worker): bool => $worker['seat'] === self::NO_SEAT);

            return count($taking) < self::MOST_TAKING ? $this->hire(self::NO_SEAT) : null;
        }

        return array_key_first(array_filter($this->mayTake($ticket), static fn (array $worker): bool => $worker['errand'] === null));
    }

    /** @return array<int, array{stream: resource, pid: int, seat: int, buffer: string, errand: int|null, caller: int|null, payload: string}> */
    private function mayTake(Ticket $ticket): array
    {
        // a band goes where the same band went before: there lies what it was made of
        return array_filter($this->workers, fn (array $worker): bool => $worker['seat'] !== self::NO_SEAT && ($ticket->band === null || $worker['seat'] === $ticket->band % $this->processes));
    }

    /** Puts off what can wait, where it keeps a process from what is urgent. */
    private function makeRoom(Ticket $ticket): void
    {
        $busy = $this->mayTake($ticket);
        // one that was told to stop is as good as free
        if (! $ticket->priority->isUrgent() || array_filter($busy, static fn (array $worker): bool => $worker['errand'] !== null && $worker['caller'] === null) !== []) {
            return;
        }
        foreach ($busy as $id => ['caller' => $caller, 'payload' => $payload]) {
            $putOff = $caller === null ? null : $this->callers->ticket($caller);
            if ($caller !== null && $putOff !== null && $putOff->priority->canWait()) {
                $this->withdraw($id);
                $this->queue[$caller] = ['ticket' => $putOff, 'payload' => $payload, 'order' => $this->order++];

                return;
            }
        }
    }

    private function noteUrgent(?Ticket $ticket): void
    {
        if ($ticket?->priority->isUrgent() === true) {
            $this->lastUrgent = microtime(true);
        }
    }

    /** Tells a render process that nobody waits for what it is doing. */
    private function withdraw(int $worker): void
    {
        $errand = $this->workers[$worker]['errand'];
        $this->workers[$worker]['caller'] = null;
        if ($errand !== null && ! Frame::send($this->workers[$worker]['stream'], (new Errand($errand, ''))->pack())) {
            $this->replace($worker);
        }
    }

    private function drop(int $caller): void
    {
        unset($this->queue[$caller]);
        $this->done['dropped']++;
        $this->reply($caller, Answer::Dropped->value);
    }

    private function sayWorking(): void
    {
        $now = microtime(true);
        if ($now - $this->saidWorking < self::WORKING_SECONDS) {
            return;
        }
        $this->saidWorking = $now;
        foreach ($this->callers->waiting() as $caller) {
            $this->say($caller, Answer::Working->value);
        }
    }

    /** The last thing that a caller is told. */
    private function reply(int $caller, string $answer): void
    {
        $this->say($caller, $answer, true);
    }

    private function say(int $caller, string $answer, bool $isLast = false): void
    {
        if ($this->callers->has($caller) && ! $this->callers->say($caller, $answer, $isLast)) {
            $this->forget($caller);
        }
    }

    private function forget(int $caller): void
    {
        foreach ($this->workers as $id => $worker) {
            if ($worker['caller'] === $caller) {
                $this->withdraw($id);
            }
        }
        $this->callers->forget($caller);
        unset($this->queue[$caller]);
    }

    /** @return array<string, mixed> */
    private function stand(): array
    {
        return [
            ...$this->done, 'waiting' => count($this->queue), 'busy' => count(array_filter($this->workers, static fn (array $worker): bool => $worker['errand'] !== null)),
            'processes' => array_values(array_map(static fn (array $worker): int => $worker['pid'], array_filter($this->workers, static fn (array $worker): bool => $worker['seat'] !== self::NO_SEAT))),
        ];
    }
}
