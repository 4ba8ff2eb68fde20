<?php

declare(strict_types=1);

namespace App\Render\Pool;

/**
 * Those who wait at the dispatcher's door: what they have said so far, and what is still to be sent to them. One may take one
 * answer after the other, so none holds up the rest.
 */
final class Callers
{
    /** @var array<int, resource> */
    private array $streams = [];

    /** @var array<int, string> what has come and is no whole message yet */
    private array $heard = [];

    /** @var array<int, Ticket> */
    private array $tickets = [];

    /** @var array<int, string> */
    private array $unsent = [];

    /** @var array<int, true> those whose last answer is under way */
    private array $leaving = [];

    /** @param  resource  $door */
    public function welcome($door): void
    {
        while (($caller = @stream_socket_accept($door, 0)) !== false) {
            stream_set_blocking($caller, false);
            $this->streams[(int) $caller] = $caller;
            $this->heard[(int) $caller] = '';
        }
    }

    /** @return array<int, resource> */
    public function streams(): array
    {
        return $this->streams;
    }

    /** @return array<int, resource> of those to whom something is still to be sent */
    public function unsent(): array
    {
        return array_intersect_key($this->streams, $this->unsent);
    }

    public function has(int $caller): bool
    {
        return isset($this->streams[$caller]);
    }

    public function ticket(int $caller): ?Ticket
    {
        return $this->tickets[$caller] ?? null;
    }

    public function handTicket(int $caller, Ticket $ticket): void
    {
        $this->tickets[$caller] = $ticket;
    }

    /** Reads what has come; false when the line is broken. */
    public function hear(int $caller): bool
    {
        $bytes = @fread($this->streams[$caller], 1 << 20);
        if ($bytes === false || ($bytes === '' && feof($this->streams[$caller]))) {
            return false;
        }
        $this->heard[$caller] .= $bytes;

        return true;
    }

    /** The next whole message, if there is one. */
    public function message(int $caller): ?string
    {
        return isset($this->heard[$caller]) ? Frame::take($this->heard[$caller]) : null;
    }

    /** @return list<int> those who wait and have nothing else to read */
    public function waiting(): array
    {
        return array_keys(array_diff_key($this->tickets, $this->unsent));
    }

    /** Says something; false when the line is broken, or when it was the last thing and is sent. */
    public function say(int $caller, string $answer, bool $isLast = false): bool
    {
        if ($isLast) {
            $this->leaving[$caller] = true;
        }
        $this->unsent[$caller] = ($this->unsent[$caller] ?? '').Frame::wrap($answer);

        return $this->sendOn($caller);
    }

    /** Sends what can be sent; false when the line is broken, or when the last thing is sent. */
    public function sendOn(int $caller): bool
    {
        if (! isset($this->unsent[$caller])) {
            return true;
        }
        $sent = @fwrite($this->streams[$caller], $this->unsent[$caller]);
        if ($sent === false) {
            return false;
        }
        if ($sent === strlen($this->unsent[$caller])) {
            unset($this->unsent[$caller]);

            return ! isset($this->leaving[$caller]);
        }
        $this->unsent[$caller] = substr($this->unsent[$caller], $sent);

        return true;
    }

    public function forget(int $caller): void
    {
        if (isset($this->streams[$caller])) {
            fclose($this->streams[$caller]);
        }
        unset($this->streams[$caller], $this->heard[$caller], $this->tickets[$caller], $this->unsent[$caller], $this->leaving[$caller]);
    }
}
