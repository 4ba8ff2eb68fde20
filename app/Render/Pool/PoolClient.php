<?php

declare(strict_types=1);

namespace App\Render\Pool;

use App\Render\RenderRequest;

/** Hands requests to the resident render processes. */
final readonly class PoolClient
{
    public function __construct(private string $socket)
    {
    }

    /**
     * @param  non-empty-array<int, RenderRequest>  $bands  parts of one picture
     * @return Waiting|null null when the processes cannot be reached
     */
    public function begin(array $bands, Ticket $ticket): ?Waiting
    {
        $lines = [];
        foreach ($bands as $at => $band) {
            $line = $this->asked($ticket->part($at), $band->pack());
            if ($line === null) {
                return null;
            }
            $lines[$at] = $line;
        }

        return new Waiting($lines);
    }

    /** An errand that is no picture; null when the processes cannot be reached. */
    public function errand(string $payload, Ticket $ticket): ?Waiting
    {
        $line = $this->asked($ticket, $payload);

        return $line === null ? null : new Waiting([$line]);
    }

    /** @return resource|null the line on which the answer comes */
    private function asked(Ticket $ticket, string $payload)
    {
        $line = $this->line();

        return $line !== null && Frame::send($line, $ticket->toJson()) && Frame::send($line, $payload) ? $line : null;
    }

    /**
     * How the render processes stand.
     *
     * @return array{rows: int, painted: int, withdrawn: int, dropped: int, waiting: int, busy: int, processes: list<int>}|null null when they cannot be reached
     */
    public function stand(): ?array
    {
        $line = $this->line();
        if ($line === null || ! Frame::send($line, '')) {
            return null;
        }
        $answer = Frame::receive($line);

        /** @var array{rows: int, painted: int, withdrawn: int, dropped: int, waiting: int, busy: int, processes: list<int>}|null */
        return $answer === null ? null : json_decode($answer, true);
    }

    /** @return resource|null */
    private function line()
    {
        $line = @stream_socket_client("unix://{$this->socket}", $code, $problem, 1);

        return $line === false ? null : $line;
    }
}
