<?php

declare(strict_types=1);

namespace App\Render;

/** What a render process answers: pixels as red, green, blue, alpha; with several strips one picture after the other. */
final readonly class PaintedReply
{
    /**
     * @param  list<string>  $strips
     * @param  int  $worked  rows that were rendered for it
     * @param  list<float>  $factors  by how much it was brightened, or each of several
     */
    public function __construct(public int $columns, public int $rows, public int $clipped, public array $strips, public string $bytes, public int $worked = 0, public array $factors = [])
    {
    }

    public function worked(int $rows): self
    {
        return new self($this->columns, $this->rows, $this->clipped, $this->strips, $this->bytes, $rows, $this->factors);
    }

    public function pack(): string
    {
        $head = json_encode(['columns' => $this->columns, 'rows' => $this->rows, 'clipped' => $this->clipped, 'strips' => $this->strips, 'worked' => $this->worked, 'factors' => $this->factors], JSON_THROW_ON_ERROR);

        return pack('V', strlen($head)).$head.$this->bytes;
    }

    public static function unpack(string $packed): self
    {
        $head = self::head($packed);

        return new self($head['columns'], $head['rows'], $head['clipped'], $head['strips'], substr($packed, 4 + (unpack('V', $packed)[1] ?? 0)), $head['worked'], $head['factors']);
    }

    /** @return array{columns: int, rows: int, clipped: int, strips: list<string>, worked: int, factors: list<float>} */
    public static function head(string $packed): array
    {
        /** @var array{columns: int, rows: int, clipped: int, strips: list<string>, worked: int, factors: list<float>} */
        return json_decode(substr($packed, 4, unpack('V', $packed)[1] ?? 0), true, 8, JSON_THROW_ON_ERROR);
    }

    /** @param  non-empty-list<self>  $bands one below the other */
    public static function joined(array $bands): self
    {
        return new self(
            $bands[0]->columns, array_sum(array_map(static fn (self $band): int => $band->rows, $bands)),
            array_sum(array_map(static fn (self $band): int => $band->clipped, $bands)), $bands[0]->strips,
            implode('', array_map(static fn (self $band): string => $band->bytes, $bands)),
            array_sum(array_map(static fn (self $band): int => $band->worked, $bands)), $bands[0]->factors,
        );
    }
}
