<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\LooksBelow;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\StripMask;

/** What masks and strips look at that are made of how something of the scene looks. */
final readonly class LookedAt
{
    public function __construct(private Scene $scene)
    {
    }

    /**
     * The strips whose picture a mask is made of, back to front: one by itself, or all that lie below.
     *
     * @return list<Strip> none when the strip is gone
     */
    public function by(string $strip, StripMask $mask): array
    {
        $of = $mask->of();
        if ($of === null) {
            return $this->scene->under($strip)[0];
        }
        $other = $this->scene->find($of);

        // one that is muted may be there for its brightness alone
        return $other === null ? [] : [$other->byItself()->driven($other->kind, $other->level, false)];
    }

    /**
     * Names strips with all that their picture depends on besides the pictures and the window.
     *
     * @param  list<Strip>  $strips
     */
    public function name(array $strips): string
    {
        $involved = [];
        foreach ($strips as $strip) {
            $this->involve($strip, $involved);
        }
        foreach ($this->scene->everyStrip() as $strip) {
            $involved += $strip->kind instanceof Pictured ? [$strip->id => $strip->identity()] : [];
        }

        return hash('xxh128', serialize([array_diff_key($this->scene->with([])->toArray(), ['title' => 0, 'accepted' => 0]), array_map(static fn (Strip $strip): string => $strip->identity(), $strips), $involved]));
    }

    /** @throws SceneError when a strip looks at itself by way of others */
    public function check(): void
    {
        $done = [];
        foreach ($this->scene->everyStrip() as $strip) {
            $this->follow($strip, [], $done);
        }
    }

    /**
     * @param  array<string, string>  $on  names of the strips on the way here, by id
     * @param  array<string, bool>  $done
     *
     * @throws SceneError
     */
    private function follow(Strip $strip, array $on, array &$done): void
    {
        if (isset($on[$strip->id])) {
            throw new SceneError('strips', "\"{$strip->name}\" would have to be there before itself: ".implode(', ', array_map(static fn (string $name): string => "\"{$name}\"", array_values($on))).' go by what each of them looks like; choose another one for what one of them goes by, or move it');
        }
        if (isset($done[$strip->id])) {
            return;
        }
        foreach ($this->next($strip) as $other) {
            $this->follow($other, $on + [$strip->id => $strip->name], $done);
        }
        $done[$strip->id] = true;
    }

    /** @param  array<array-key, string>  $involved  what it looks at and holds, and what these do, by id */
    private function involve(Strip $strip, array &$involved): void
    {
        foreach ($this->next($strip) as $other) {
            if (! isset($involved[$other->id])) {
                $involved[$other->id] = $other->identity();
                $this->involve($other, $involved);
            }
        }
    }

    /** @return list<Strip> what a strip holds, what its masks look at, and what it falls beside */
    private function next(Strip $strip): array
    {
        $beside = $strip->complements === null ? null : $this->scene->find($strip->complements);

        $kind = $strip->kind;
        $below = $kind instanceof LooksBelow && $kind->looksBelow() ? $this->parts($this->scene->under($strip->id)[0]) : [];
        $goesBy = $kind instanceof LooksBelow ? array_values(array_filter(array_map($this->scene->find(...), $kind->goesBy()))) : [];

        return [...$this->parts($strip->strips), ...$this->looked($strip), ...($beside === null ? [] : [$beside]), ...$below, ...$goesBy];
    }

    /** @return list<Strip> what the masks of a strip look at */
    private function looked(Strip $strip): array
    {
        $looked = [];
        foreach ($strip->masks as $mask) {
            $of = $mask->mask instanceof StripMask ? $mask->mask->of() : null;
            $other = $of === null ? null : $this->scene->find($of);
            array_push($looked, ...match (true) {
                $other !== null => [$other],
                $of === null && $mask->mask instanceof StripMask => $this->parts($this->scene->under($strip->id)[0]),
                default => [],
            });
        }

        return $looked;
    }

    /**
     * Strips, and of groups what they hold and look at: below a strip in a group lies only a part of that group.
     *
     * @param  list<Strip>  $strips
     * @return list<Strip>
     */
    private function parts(array $strips): array
    {
        return array_merge(...array_map(fn (Strip $strip): array => $strip->isGroup() ? [...$this->looked($strip), ...$this->parts($strip->strips)] : [$strip], $strips));
    }
}
