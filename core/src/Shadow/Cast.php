<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Bends;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Grounded;
use Aumbrel\Core\Kind\LiesUnder;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\PlacedPlate;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Pull;
use Aumbrel\Core\Kind\Pullable;
use Aumbrel\Core\Kind\SeenFrom;
use Aumbrel\Core\Kind\Shades;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\Stand;
use Aumbrel\Core\Kind\ThrowsShadow;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Rays;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\BendsValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * The shadow that plates throw on the ground, up the walls that stand there, and on plates that take shadows: each cut-out is a
 * thin upright sheet on its contact row, thrown by parallel rays or by a lamp.
 */
final class Cast implements Driven, Grounded, LiesUnder, Proposes, Pullable, SeenFrom, Shades, ThrowsShadow
{
    use ByLight;

    private const BEND = 'bend ';

    private float $tip;

    private bool $filled;

    private bool $climbs;

    private Bends $bends;

    public static function key(): string
    {
        return 'cast';
    }

    public static function label(): string
    {
        return 'Cast shadow';
    }

    public static function hint(): string
    {
        return 'The shadow of a plate on the ground and up the walls';
    }

    public static function parameters(): array
    {
        return [
            ...self::ofPlates('#11141f'),
            NumberValue::named('tip', 'Left at the tip', 'shadow', Unit::Percent, 0, 100, 60),
            ...self::ofLight(125, -25, 1.5, 0.1),
            ToggleValue::named('filled', 'Insides filled', 'reach'),
            ToggleValue::on('climbs', 'Climbs walls', 'reach'),
            BendsValue::named('bends', 'Bends', 'reach'),
        ];
    }

    public static function from(Values $values): self
    {
        $own = new self;
        $own->of = $values->texts('of');
        $own->colour = Rgb::fromHex($values->text('colour'));
        $own->rays = self::raysOf($values);
        [$own->contact, $own->tip] = [$values->number('contact'), $values->number('tip') / 100];
        [$own->filled, $own->climbs] = [$values->toggle('filled'), $values->toggle('climbs')];
        $own->bends = $values->object('bends', Bends::class);

        return $own;
    }

    public static function line(): string
    {
        return 'from the feet of a plate to where the tip of its shadow falls';
    }

    public static function placedAmount(): float
    {
        return 70.0;
    }

    /** One of all that stand. */
    public static function proposals(Placed $placed): array
    {
        $standing = array_values(array_filter($placed->subjects(), static fn (PlacedPlate $plate): bool => $plate->stance === Stance::Stands || ($plate->stance === Stance::Free && $placed->stage->camera->horizon === null)));
        if ($standing === []) {
            return [];
        }
        $names = count($standing) > 2 ? 'all that stands' : implode(' and ', array_map(static fn (PlacedPlate $plate): string => $plate->name, $standing));

        return [new Proposal('cast', "Shadow of {$names}", self::class, ['of' => array_map(static fn (PlacedPlate $plate): string => $plate->id, $standing), 'contact' => self::contactOf(min(array_map(static fn (PlacedPlate $plate): float => $plate->size, $standing)))],
            order: -50, amount: $placed->share($standing[0]->id, false))];
    }

    /** By each source; without any the one that a new shadow has. */
    public static function shadowsOf(Stand $stand, array $densities): array
    {
        if ($stand->stance === Stance::Hangs) {
            return [];
        }
        $values = ['of' => [$stand->id], 'contact' => self::contactOf($stand->size())];

        return $densities === [] ? [new Proposal('cast', "Shadow of {$stand->name}", self::class, $values, amount: self::placedAmount())]
            : array_map(static fn (string $source, float $density): Proposal => new Proposal("cast {$source}", "Shadow of {$stand->name}", self::class, $values, amount: $density, source: $source), array_keys($densities), $densities);
    }

    public function isOnWall(): bool
    {
        return false;
    }

    public function field(Site $site): ?Field
    {
        $pieces = [];
        foreach ($this->thrown($site) as ['folds' => $folds, 'bend' => $bend]) {
            $onSurfaces = [];
            foreach ($folds as [$fold, $shape]) {
                foreach ($fold->everywhere() as $surface => $thrown) {
                    $onSurfaces[$surface][] = new Piece($shape, $thrown, $bend);
                }
            }
            array_push($pieces, ...array_map(Folded::of(...), array_values($onSurfaces)));
        }

        return $pieces === [] ? null : new ShadowField($pieces, $this->coverings($site));
    }

    public function outlines(Stage $stage): array
    {
        $stand = $this->stands()[0] ?? null;
        $cast = $stand === null ? null : $this->cast($stand, $stage);
        if ($cast === null) {
            return [];
        }
        $sheet = $cast->sheet;
        $tip = $cast->tip();

        return [
            'row' => array_map(static fn (float $x): array => [$x, $sheet->rowAt($x)], [$sheet->box->left, $sheet->box->right]), 'foot' => [$sheet->middle->toArray()],
            ...($tip === null ? [] : ['tip' => [$tip->toArray()]]),
            'bends' => array_map(static fn (array $held): array => $held[2]->toArray(), $cast->bendable($this->bends)),
        ];
    }

    public function pulled(string $handle, Point $to): ?Pull
    {
        $stand = $this->stands()[0] ?? null;
        $cast = $stand === null || $this->grounds === null ? null : $this->cast($stand, $this->grounds->stage());
        if (str_starts_with($handle, self::BEND)) {
            $bends = $cast?->bent($this->bends, (int) substr($handle, strlen(self::BEND)), $to);

            return $bends === null ? null : new Pull(['bends' => $bends->toArray()]);
        }
        $way = $cast?->wayForTip($to);

        return $cast === null || $way === null ? null : self::turned($way, $cast->topInSpace());
    }

    private function cast(Stand $stand, Stage $stage): ?CastOnStage
    {
        return CastOnStage::of($stand, $stage, $this->rays, $this->contact, $this->tip, $this->climbs);
    }

    /** @return list<array{id: string, folds: non-empty-list<array{CastOnStage, CastShape}>, bend: Bend|null}> its plates that throw something */
    private function thrown(Site $site): array
    {
        $all = [];
        foreach ($this->stands() as $stand) {
            $cast = $this->cast($stand, $site->stage());
            $folds = [];
            foreach ($cast?->folds($stand) ?? [] as $fold) {
                $shape = CastShape::of($site, $stand->id, $this->filled, $fold->sheet);
                if ($shape !== null) {
                    $folds[] = [$fold, $shape];
                }
            }
            if ($cast !== null && $folds !== []) {
                $all[] = ['id' => $stand->id, 'folds' => $folds, 'bend' => $cast->bend($this->bends)];
            }
        }

        return $all;
    }

    /**
     * A plate that takes shadows takes them as a wall at its depth; a plate throws none on itself.
     *
     * @return list<Field>
     */
    private function received(Site $site, Stand $on): array
    {
        $pieces = [];
        foreach ($on->receives ? $this->thrown($site) : [] as ['id' => $id, 'folds' => $folds]) {
            $onIt = [];
            foreach ($id === $on->id ? [] : $folds as [$fold, $shape]) {
                $thrown = $fold->onPlate($on);
                if ($thrown !== null) {
                    $onIt[] = new Piece($shape, $thrown);
                }
            }
            if ($onIt !== []) {
                $pieces[] = Folded::of($onIt);
            }
        }

        return $pieces;
    }

    private function lack(): ?string
    {
        foreach ($this->stands() as $stand) {
            $cast = $this->grounds === null ? null : $this->cast($stand, $this->grounds->stage());
            if ($cast === null) {
                return "The feet of {$stand->name} are at the horizon or above it, where there is no ground: move it down, or mark its feet.";
            }
            if ($cast->isNothing()) {
                return $this->rays->isParallel ? 'Its light comes from below the ground, or so flat that it throws nothing: let it stand higher.' : "Its lamp throws nothing of {$stand->name}: let it hang higher.";
            }
        }

        return null;
    }
}
