<?php

declare(strict_types=1);

/*
 * Faults that a tired hand makes: a sign, a bound, a missing decode, a swapped axis. Each stands here as file, what is
 * there, what the fault makes of it, and the tests that have to notice.
 *
 * @return list<array{string, string, string, list<string>}>
 */
return [
    ['core/src/Color/Srgb.php', '$encoded / 12.92 : (($encoded + 0.055)', '$encoded / 12.92 : (($encoded - 0.055)', ['core/tests/LightTest.php', 'core/tests/BaseTest.php']],
    ['core/src/Color/Srgb.php', '$linear <= 0.0031308', '$linear <= 0.031308', ['core/tests/BaseTest.php', 'core/tests/LightTest.php', 'core/tests/StackTest.php']],
    ['core/src/Color/Kelvin.php', '$kelvin <= 7000', '$kelvin <= 4700', ['core/tests/LightTest.php']],
    ['core/src/Color/Kelvin.php', '$light->blue / $white->blue', '$light->blue', ['core/tests/LightTest.php', 'core/tests/ParameterTest.php']],
    ['core/src/Blend/ChannelBlend.php', 'return $below + $source - $below * $source;', 'return $below + $source;', ['core/tests/BlendTest.php']],
    ['core/src/Blend/ChannelBlend.php', '$below <= 0.5 ? 2.0 * $below * $source', '$source <= 0.5 ? 2.0 * $below * $source', ['core/tests/BlendTest.php']],
    ['core/src/Light/AngularLaw.php', '($angle / ($this->beam / 2))', '($angle / $this->beam)', ['core/tests/LightTest.php']],
    ['core/src/Light/AngularLaw.php', '2 - $sin / ($sin - $cos)', '2 - $sin / ($sin + $cos)', ['core/tests/LightTest.php', 'core/tests/StackTest.php']],
    ['core/src/Light/SpotField.php', '1.0 - $share * $share;', '1.0 - $share;', ['core/tests/LightTest.php']],
    ['core/src/Light/SpotField.php', '$away = $squared + $size;', '$away = $squared - $size;', ['core/tests/LightTest.php']],
    ['core/src/Ramp/Course.php', '(3.0 - 2.0 * {$share})', '(3.0 - {$share})', ['core/tests/MaskTest.php']],
    ['core/src/Ramp/Course.php', 'log(0.5) / log($midpoint)', 'log($midpoint) / log(0.5)', ['core/tests/MaskTest.php']],
    ['core/src/Mask/RadialMask.php', '-$sin / $this->radius, $sin / $this->secondRadius', '$sin / $this->radius, -$sin / $this->secondRadius', ['core/tests/MaskTest.php']],
    ['core/src/Mask/RadialMask.php', '$window): string
    {
        [$a, $b, $c, $d] = $this->toUnitCircle();', '$window): string
    {
        [$a, $c, $b, $d] = $this->toUnitCircle();', ['core/tests/MaskTest.php']],
    ['core/src/Bearing/Bearing.php', 'cos($e) * cos($a), cos($e) * sin($a)', 'cos($e) * sin($a), cos($e) * cos($a)', ['core/tests/BearingTest.php', 'core/tests/ReadingTest.php']],
    ['core/src/Bearing/Bearing.php', 'new self(180 - $this->azimuth', 'new self(-$this->azimuth', ['core/tests/BearingTest.php', 'core/tests/ReadingTest.php']],
    ['core/src/Geometry/Placement.php', '-$this->sin * $x + $this->cos * $y', '$this->sin * $x + $this->cos * $y', ['core/tests/PlateTest.php', 'core/tests/ShapeTest.php']],
    ['core/src/Geometry/Placement.php', '/ $this->scale * ($this->mirrored ? -1 : 1);
        $y', '/ $this->scale;
        $y', ['core/tests/PlateTest.php', 'core/tests/ReadingTest.php', 'core/tests/BearingTest.php']],
    ['core/src/Grade/BaseTone.php', '(1 - $this->blacksStartAt))) * 2 **', '(1 + $this->blacksStartAt))) * 2 **', ['core/tests/BaseTest.php']],
    ['core/src/Geometry/Window.php', '$this->y + ($this->firstRow + $row + 0.5) / $this->scale', '$this->y + ($row + 0.5) / $this->scale', ['core/tests/StackTest.php', 'core/tests/PlateTest.php', 'core/tests/RasterTest.php', 'tests/Feature/PoolTest.php']],
    ['core/src/Geometry/Window.php', '+ 1e-6) + 1))', '- 1)))', ['core/tests/StackTest.php', 'core/tests/LightTest.php', 'core/tests/ExtentTest.php']],
    ['core/src/Stage/Lamp.php', '($this->at->x - $from->middle->x) * $scale', '($this->at->x - $from->middle->x)', ['core/tests/SourceTest.php']],
    ['core/src/Stage/Camera.php', '1 - $this->height() / ($row - $this->horizon)', '$this->height() / ($row - $this->horizon)', ['core/tests/SourceTest.php', 'core/tests/PoolOnSurfaceTest.php']],
    ['core/src/Light/Pool.php', '$this->throw ** 2 * $this->height)', '$this->throw ** 2)', ['core/tests/PoolOnSurfaceTest.php']],
    ['core/src/Light/Behind.php', '*= 1.0 - ', '*= ', ['core/tests/ShineTest.php']],
    ['core/src/Texture/Pinned.php', '1 / (1 - $this->blacks)', '1 / (1 + $this->blacks)', ['core/tests/ShineTest.php']],
    ['core/src/Light/Ended.php', '- 1.0 + $end) / $end', '- 1.0 + $end)', ['core/tests/ShineTest.php']],
    ['core/src/Light/LinesPlane.php', '$to > $from ? $to - $from', '$to > $from ? $to', ['core/tests/ShineTest.php']],
    ['core/src/Light/SoftShape.php', '1 / 12 - 1 / 6', '8.0', ['core/tests/ShineTest.php']],
    ['core/src/Raster/Smoke.php', '0.5 + 1.8 * $value', '0.5 + 1.08 * $value', ['core/tests/NoiseTest.php']],
    ['core/src/Texture/Dust.php', '2 * (0.5 + $near) ** 2', '2 * (0.5 + $near)', ['core/tests/NoiseTest.php']],
    ['core/src/Light/Panes.php', '$passed * $pane + ($rest', '$passed * $pitch + ($rest', ['core/tests/ShineTest.php']],
    ['core/src/Reading/Agreement.php', '$nearest[2] <= self::SIDE', '$nearest[2] >= self::SIDE', ['core/tests/SeenLightsTest.php']],
    ['core/src/Scene/Complement.php', 'Join::Add => $mask->joinedBy(Join::Intersect, ! $mask->inverted)', 'Join::Add => $mask->joinedBy(Join::Add, ! $mask->inverted)', ['core/tests/SplitTest.php']],
    ['core/src/Color/Mired.php', 'self::of($kelvin) + $shift));', 'self::of($kelvin) - $shift));', ['core/tests/LightColourTest.php']],
    ['core/src/Stroke/Brush.php', '$stroke->size / 2 *', '$stroke->size *', ['core/tests/StrokeTest.php']],
    ['core/src/Render/Memory.php', '$this->kept[$key] = $value;
            $this->used[$key] = self::now();
        }

        return $value;', '}

        return $value;', ['core/tests/ParameterTest.php']],
    ['core/src/Grade/BloomPlane.php', 'if ($sum < 0.0) {', 'if ($sum < -9.0) {', ['core/tests/BothWaysTest.php']],
    ['core/src/Shadow/ShadowPlane.php', 'private const SMALLEST = 2;', 'private const SMALLEST = 8;', ['core/tests/ToldTest.php']],
    ['core/src/Light/Pool.php', '$largest = 1.0;', '$largest = 0.0;', ['core/tests/ToldTest.php']],
    ['app/Scenes/FlatScene.php', 'array_replace($this->strips, $part[\'strips\'] ?? [])', '[...$this->strips, ...($part[\'strips\'] ?? [])]', ['tests/Feature/IdsTest.php']],
    ['app/Database/ImmediatePdo.php', "'BEGIN IMMEDIATE TRANSACTION'", "'BEGIN TRANSACTION'", ['tests/Feature/ScenesTest.php', 'tests/Feature/DatabaseTest.php']],
    ['core/src/Render/Mixer.php', '[JoinedLights::GAIN, JoinedLights::MORE] : []', '[JoinedLights::GAIN] : []', ['core/tests/DraftTest.php']],
    ['core/src/Light/EmitterBlock.php', 'foreach ([0, 1] as $across)', 'foreach ([0] as $across)', ['core/tests/ShineTest.php']],
];
