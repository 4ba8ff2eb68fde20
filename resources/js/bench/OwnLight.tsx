import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { OwnLight as Found, Scene, Strip } from '../api/types';
import { Action } from '../controls/Action';
import { Row } from '../controls/Row';
import { Told } from '../controls/Told';
import type { Gestures } from '../session/gestures';
import { useRests } from '../session/resting';
import { useWork, work } from '../session/store';

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** Read only while it is looked at: it costs a render process half a second. */
function useOwnLight(scene: Scene, strip: Strip, section: string) {
    const isOpen = useWork((state) => state.sections[`plate ${section}`] ?? false);
    const rests = useRests(scene) && isOpen;
    return useQuery({ queryKey: ['own light', scene.id, strip.id, scene.revision], queryFn: () => api.ownLight(scene.id, strip.id), enabled: rests, staleTime: Infinity, placeholderData: (last) => last });
}

/** Which way green grows in a picture of normals, where that is guessed from it. */
export function NormalsGuessed({ scene, strip }: { scene: Scene; strip: Strip }) {
    const query = useOwnLight(scene, strip, 'Body');
    const upward = query.data?.upward;
    return upward == null ? null : <p className="text-[12.5px] text-quiet">In its normals green seems to be {upward ? 'up' : 'down'}: bodies bulge that way.</p>;
}

/** The light that a plate brings along, as it is read off it, and the one action that exchanges it. */
export function OwnLight({ scene, strip, gestures }: { scene: Scene; strip: Strip; gestures: Gestures }) {
    const query = useOwnLight(scene, strip, 'Own light');
    const isForm = useWork((state) => state.seeing === 'form');
    const found = query.data?.found;
    return (
        <>
            {query.data?.why && <p className="text-[12.5px] text-quiet">{query.data.why}</p>}
            {found && (
                <Told says="What is read off it: how much of its shading this light explains, and how much of the light has no direction. The sphere is lit alike">
                    <Row label="As it is lit">
                        <Sphere found={found} />
                        <span data-testid="own-light" className="text-[12.5px]">
                            {percent(found.explained)} <span className="text-quiet">explained, ambient</span> {percent(found.ambient)}
                        </span>
                    </Row>
                </Told>
            )}
            {found && !found.isRead && (
                <p className={`text-[12px] ${found.bent > 0.5 ? 'text-quiet' : 'text-alarm'}`}>
                    {found.bent > 0.5 ? 'Its outline hardly explains how it is lit: its form follows its shading instead.' : 'Its form hardly explains how it is lit: look at the form, give it normals, or set the ambient share by hand.'}
                </p>
            )}
            {found && found.clipped >= 0.005 && <p className="text-[12px] text-alarm">{percent(found.clipped)} of it is cut off at white: no light can be taken off there.</p>}
            {found?.mirrored != null && <p className="text-[12.5px] text-quiet">Mirrored, its own light would be {found.mirrored.toFixed(0)}° off the scene’s: that is the better way where nothing on it can be read.</p>}
            <div className="flex flex-wrap gap-1.5 pt-0.5">
                <Action label="Relight" title="Its own light is taken down, and a key light put where the scene’s light comes from" onPress={() => void gestures.relight(strip.id)} />
                {found?.mirrored != null && <Action label="Mirror it" title="Mirrored where it stands, with its light" onPress={() => void gestures.change(strip.id, { values: { mirrored: !strip.values.mirrored, turn: -Number(strip.values.turn ?? 0) || 0 } }, 'Mirror')} />}
                <Action label="See its form" title="The plate in one grey under its own light" pressed={isForm} onPress={() => work.see('form')} />
            </div>
        </>
    );
}

/** A small sphere under the light that was read: its ambient share in the dark, its key toward the light. */
function Sphere({ found }: { found: Found }) {
    const [a, e] = [(found.azimuth * Math.PI) / 180, (found.elevation * Math.PI) / 180];
    const shade = (facing: number) => {
        const channels = found.sky.map((sky) => Math.round(255 * Math.min(1, 0.8 * (found.ambient * sky + (1 - found.ambient) * facing)) ** (1 / 2.2)));
        return `rgb(${channels.join(' ')})`;
    };
    return (
        <svg width={22} height={22} viewBox="-1 -1 2 2" aria-hidden className="shrink-0">
            <defs>
                <radialGradient id="own-light" gradientUnits="userSpaceOnUse" cx={Math.cos(e) * Math.cos(a)} cy={-Math.cos(e) * Math.sin(a)} r={Math.max(0.6, 1 + Math.cos(e))}>
                    <stop offset="0" stopColor={shade(Math.max(0, Math.cos(e) > 0.2 ? 0.95 : Math.sin(e)))} />
                    <stop offset="0.55" stopColor={shade(0.5)} />
                    <stop offset="1" stopColor={shade(0)} />
                </radialGradient>
            </defs>
            <circle r={0.95} fill="url(#own-light)" />
        </svg>
    );
}
