<?php

declare(strict_types=1);

namespace App\CommandLine;

/** The words behind a command: some plain ones, and options with or without a value. */
final readonly class Arguments
{
    /**
     * @param  list<string>  $plain
     * @param  array<string, string>  $options
     */
    private function __construct(public array $plain, private array $options)
    {
    }

    /**
     * @param  list<string>  $words
     * @param  list<string>  $valued  options that take a value
     * @param  list<string>  $switches  options that take none
     */
    public static function read(array $words, array $valued, array $switches): self
    {
        $plain = $options = [];
        for ($k = 0; $k < count($words); $k++) {
            $word = $words[$k];
            if (! str_starts_with($word, '--')) {
                $plain[] = $word;

                continue;
            }
            [$name, $value] = explode('=', substr($word, 2), 2) + [1 => null];
            if (in_array($name, $switches, true) && $value === null) {
                $options[$name] = '';
            } elseif (in_array($name, $valued, true)) {
                $options[$name] = $value ?? $words[++$k] ?? throw new Problem("--{$name} needs a value");
            } else {
                throw new Problem("there is no option {$word}; there are --".implode(', --', [...$valued, ...$switches]));
            }
        }

        return new self($plain, $options);
    }

    public function has(string $name): bool
    {
        return isset($this->options[$name]);
    }

    public function text(string $name): ?string
    {
        return $this->options[$name] ?? null;
    }

    public function number(string $name, float $default, float $least, float $most): float
    {
        $text = $this->options[$name] ?? null;
        if ($text === null) {
            return $default;
        }

        return is_numeric($text) && (float) $text >= $least && (float) $text <= $most
            ? (float) $text : throw new Problem("--{$name}: expected a number from {$least} to {$most}, found \"{$text}\"");
    }

    /** @return list<float>|null */
    public function numbers(string $name, int $count): ?array
    {
        $text = $this->options[$name] ?? null;
        if ($text === null) {
            return null;
        }
        $parts = explode(',', $text);
        foreach ($parts as $part) {
            if (! is_numeric($part) || ! is_finite((float) $part)) {
                throw new Problem("--{$name}: expected {$count} numbers with commas between them, found \"{$text}\"");
            }
        }

        return count($parts) === $count ? array_map(floatval(...), $parts)
            : throw new Problem("--{$name}: expected {$count} numbers with commas between them, found \"{$text}\"");
    }
}
