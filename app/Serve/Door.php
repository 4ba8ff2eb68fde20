<?php

declare(strict_types=1);

namespace App\Serve;

/** Where the server listens, and under which address people reach it. */
final readonly class Door
{
    public function __construct(public string $host, public int $port)
    {
    }

    public function isOpenToOthers(): bool
    {
        return ! in_array($this->host, ['localhost', '::1', '[::1]'], true) && ! str_starts_with($this->host, '127.');
    }

    public function listensOn(): string
    {
        return self::bracketed($this->host).":{$this->port}";
    }

    /** An address that works in a browser on another machine, if others can reach it at all. */
    public function url(): string
    {
        $host = $this->isEverywhere() ? ($this->ownAddresses()[0] ?? '127.0.0.1') : $this->host;

        return 'http://'.self::bracketed($host).":{$this->port}";
    }

    /** Where this machine itself reaches it. */
    public function near(): string
    {
        $host = $this->isEverywhere() ? (str_contains($this->host, ':') ? '[::1]' : '127.0.0.1') : self::bracketed($this->host);

        return "{$host}:{$this->port}";
    }

    /** @return list<string> names under which browsers may ask for it */
    public function hosts(): array
    {
        $own = ['127.0.0.1', 'localhost', '[::1]'];
        if (! $this->isOpenToOthers()) {
            return $own;
        }
        $others = $this->isEverywhere() ? [...array_map(self::bracketed(...), $this->ownAddresses()), strtolower((string) gethostname())] : [self::bracketed($this->host)];

        return array_values(array_unique([...$own, ...$others]));
    }

    private function isEverywhere(): bool
    {
        return in_array($this->host, ['0.0.0.0', '::', '[::]'], true);
    }

    /** @return list<string> addresses of this machine that others can reach, those of the old kind first */
    private function ownAddresses(): array
    {
        $found = [];
        foreach (net_get_interfaces() ?: [] as $interface) {
            foreach ($interface['unicast'] ?? [] as $way) {
                $address = (string) ($way['address'] ?? '');
                if (($interface['up'] ?? false) && $address !== '' && ! str_starts_with($address, '127.') && $address !== '::1' && ! str_starts_with($address, 'fe80:')) {
                    $found[] = $address;
                }
            }
        }
        usort($found, static fn (string $one, string $other): int => str_contains($one, ':') <=> str_contains($other, ':'));

        return $found;
    }

    private static function bracketed(string $host): string
    {
        return str_contains($host, ':') && ! str_starts_with($host, '[') ? "[{$host}]" : $host;
    }
}
