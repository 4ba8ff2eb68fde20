<?php

declare(strict_types=1);

namespace App\Render\Pool;

/** How urgent a request is, and which view it is for; travels as JSON before the request itself. */
final readonly class Ticket
{
    /**
     * @param  string  $view  names what is looked at; of two requests for the same one, the lower number is dropped
     * @param  int|null  $band  which part of a picture: the same part goes to the same process again
     */
    public function __construct(public Priority $priority, public string $view, public int $number, public ?int $band = null)
    {
    }

    public function part(int $band): self
    {
        return new self($this->priority, $this->view, $this->number, $band);
    }

    public function toJson(): string
    {
        return json_encode(['priority' => $this->priority->value, 'view' => $this->view, 'number' => $this->number, 'band' => $this->band], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    public static function fromJson(string $json): ?self
    {
        $read = json_decode($json, true);
        if (! is_array($read) || ! is_string($read['view'] ?? null) || ! is_int($read['number'] ?? null)) {
            return null;
        }
        $priority = Priority::tryFrom(is_int($read['priority'] ?? null) ? $read['priority'] : -1);

        return $priority === null ? null : new self($priority, $read['view'], $read['number'], is_int($read['band'] ?? null) ? $read['band'] : null);
    }
}
