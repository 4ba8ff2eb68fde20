import type { Scene, Strip } from '../../api/types';
import type { Gestures } from '../../session/gestures';
import type { Lens, Size } from '../../session/camera';

export type LayerProps = { scene: Scene; lens: Lens; view: Size; gestures: Gestures };

/** Of a layer that works on the chosen strip. */
export type StripLayerProps = LayerProps & { strip: Strip };
