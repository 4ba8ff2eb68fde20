import type { Mask, Outlines, Scene, Strip } from '../../api/types';
import type { Gestures } from '../../work/gestures';
import type { Lens } from '../../work/camera';

export type StripHandleProps = { scene: Scene; strip: Strip; outlines: Outlines; lens: Lens; gestures: Gestures };

export type MaskHandleProps = StripHandleProps & { mask: Mask };
