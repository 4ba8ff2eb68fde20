import type { Mask, Outlines, Scene, Strip } from '../../api/types';
import type { Gestures } from '../../session/gestures';
import type { Lens } from '../../session/camera';

export type StripHandleProps = { scene: Scene; strip: Strip; outlines: Outlines; lens: Lens; gestures: Gestures };

export type MaskHandleProps = StripHandleProps & { mask: Mask };
