<?php

declare(strict_types=1);

namespace App\Render\Pool;

use App\Render\Painter;
use App\Render\RenderRequest;
use App\Render\StrokesMissing;
use Aumbrel\Core\Fault\NotKept;
use Aumbrel\Core\Fault\PictureLost;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Fault\Withdrawn;
use Aumbrel\Core\Render\Watch;
use Closure;
use Throwable;

/**
 * The life of one render process: it takes one errand after the other off its line to the dispatcher and answers it. While
 * it renders it looks between rows whether the errand was withdrawn. It ends when the dispatcher is gone.
 */
final class RenderProcess implements Watch
{
    /** After so long a rest circles are looked for all the same, and what the next export needs is worked out. */
    private const REST_SECONDS = 2;

    private string $heard = '';

    /** The errand that is being done, and the last one that was withdrawn. */
    private int $errand = 0;

    private int $withdrawn = 0;

    private int $rows = 0;

    private bool $isGone = false;

    /**
     * @param  resource  $line
     * @param  (Closure(TakeIn, Watch): ?array<string, mixed>)|null  $taking  decodes a picture; gives what went wrong
     */
    public function __construct(private $line, private readonly ?Closure $taking = null)
    {
        stream_set_blocking($line, false);
    }

    /**
     * @param  Closure(Watch): Painter  $painter
     * @param  RenderRequest|null  $warmUp  what is rendered before anybody asks
     */
    public function run(Closure $painter, ?RenderRequest $warmUp): void
    {
        // looking for circles goes through all that is kept: several drafts' time, and what renders makes none
        gc_disable();
        $painter = $painter($this);
        try {
            if ($warmUp !== null) {
                $painter->paint($warmUp);
            }
        } catch (Throwable) {
            // a scene that cannot be rendered is told to whoever opens it
        }
        while (($message = $this->next($painter)) !== null) {
            $this->rows = 0;
            stream_set_blocking($this->line, true);
            Frame::send($this->line, $this->answer($painter, $message->payload));
            stream_set_blocking($this->line, false);
            $painter->tidy();
        }
    }

    public function step(): void
    {
        if ($this->hasHeard()) {
            $this->read();
        }
        if ($this->errand === 0) {
            // it warms up or works ahead: what comes now is an errand and is not to be taken for a withdrawal
            return;
        }
        // while something is rendered only withdrawals can come
        while ($this->heard !== '' && ($message = Frame::take($this->heard)) !== null) {
            $this->withdrawn = Errand::read($message)->number;
        }
        if ($this->isGone || $this->withdrawn === $this->errand) {
            throw new Withdrawn;
        }
    }

    public function row(): void
    {
        $this->rows++;
    }

    private function answer(Painter $painter, string $payload): string
    {
        try {
            $this->step();
            if ($this->taking !== null && TakeIn::isOne($payload)) {
                return Answer::Took->value.json_encode(($this->taking)(TakeIn::unpack($payload), $this), JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR);
            }
            $reply = $painter->paint(RenderRequest::unpack($payload));

            return Answer::Painted->value.$reply->worked($this->rows)->pack();
        } catch (Withdrawn) {
            return Answer::Withdrawn->value.$this->rows;
        } catch (StrokesMissing $missing) {
            return Answer::Missing->value.json_encode($missing->keys, JSON_THROW_ON_ERROR);
        } catch (SceneError $error) {
            return Answer::Problem->value.json_encode(['field' => $error->field, 'reason' => $error->reason], JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR);
        } catch (NotKept|PictureLost $fault) {
            return Answer::Fault->value.json_encode(['class' => $fault::class, 'about' => $fault instanceof NotKept ? $fault->what : $fault->folder], JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR);
        } catch (Throwable $error) {
            fwrite(STDERR, "render process: {$error}\n");

            return Answer::Lost->value;
        }
    }

    /** Waits for the next errand, for as long as it takes; null when the dispatcher is gone. */
    private function next(Painter $painter): ?Errand
    {
        while (! $this->isGone) {
            while (($message = Frame::take($this->heard)) !== null) {
                $errand = Errand::read($message);
                if ($errand->payload !== '') {
                    $this->errand = $errand->number;

                    return $errand;
                }
            }
            if (! $this->hasHeard(self::REST_SECONDS)) {
                gc_collect_cycles();
                // what comes meanwhile is no withdrawal of the last errand, which is done
                $this->errand = 0;
                $painter->workAhead(fn (): bool => ! $this->hasHeard());
                // nobody works for a while: memory is for others
                if (! $this->hasHeard((int) Painter::UNUSED_SECONDS + 1)) {
                    $painter->tidy();
                    gc_collect_cycles();
                    gc_mem_caches();
                }
            }
            if ($this->hasHeard(null)) {
                $this->read();
            }
        }

        return null;
    }

    /** @param  int|null  $seconds  how long it is waited for; null for as long as it takes */
    private function hasHeard(?int $seconds = 0): bool
    {
        $read = [$this->line];
        $write = $except = null;

        return @stream_select($read, $write, $except, $seconds) > 0;
    }

    private function read(): void
    {
        $bytes = @fread($this->line, 1 << 22);
        if ($bytes === false || ($bytes === '' && feof($this->line))) {
            $this->isGone = true;
        } else {
            $this->heard .= $bytes;
        }
    }
}
