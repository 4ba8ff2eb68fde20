<?php

declare(strict_types=1);

use App\Render\Painter;
use App\Render\Pool\Answer;
use App\Render\Pool\Errand;
use App\Render\Pool\Frame;
use App\Render\Pool\RenderProcess;
use App\Render\Pool\TakeIn;
use Aumbrel\Core\Render\Watch;

it('does what it is asked while it still warms up, and takes it for no withdrawal', function (): void {
    $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
    expect($pair)->not->toBeFalse();
    [$ours, $theirs] = (array) $pair;
    Frame::send($ours, (new Errand(1, (new TakeIn('/nowhere', 'lantern.png', '/nowhere'))->pack()))->pack());
    $taking = static function () use ($ours): ?array {
        // the dispatcher goes: the process ends when it has answered
        stream_socket_shutdown($ours, STREAM_SHUT_WR);

        return null;
    };

    (new RenderProcess($theirs, $taking))->run(static function (Watch $watch): Painter {
        // the first rows of the warm-up
        $watch->step();

        return new Painter(config()->string('aumbrel.kernels'), config()->string('aumbrel.pictures'), config()->string('aumbrel.shapes'), 1 << 26, $watch);
    }, null);
    fclose($theirs);

    expect(Frame::receive($ours))->toBe(Answer::Took->value.'null');
});
