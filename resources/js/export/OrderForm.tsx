import type { ExportOrder, ExportWrites } from '../api/types';
import { exportFormats } from '../generated/catalogue';

const WRITES: [ExportWrites, string, string][] = [
    ['picture', 'A picture', ''],
    ['layers', 'Layers', 'OpenRaster: one layer a strip, in the mode that other programs know. What has none there is baked, and its name says so.'],
    ['passes', 'Passes', 'What each strip adds in a file of its own, as a ZIP. EXR files add up to the picture, in linear light.'],
    ['before and after', 'Before and after', 'As it came in, and finished, side by side.'],
    ['steps', 'Sheet of steps', 'As it came in, after each strip, and finished, with their words.'],
];

const keyOf = ({ format, bits }: { format: string; bits: number }) => `${format}${bits}`;

/** What is wanted of an export. */
export function OrderForm({ size, order, onChange, picturesOnly = false }: { size: { width: number; height: number } | null; order: ExportOrder; onChange: (order: ExportOrder) => void; /** whether nothing but a picture can be written */ picturesOnly?: boolean }) {
    const set = (change: Partial<ExportOrder>) => onChange({ ...order, ...change });
    const format = exportFormats.find((entry) => keyOf(entry) === keyOf(order)) ?? exportFormats[0];
    const isPicture = order.writes === 'picture';
    const isSheet = order.writes === 'steps' || order.writes === 'before and after';
    const isLinear = isPicture && order.format === 'exr';
    const formats = exportFormats.filter((entry) => (order.writes === 'passes' ? entry.format === 'exr' || entry.format === 'png' : order.writes === 'layers' ? entry.format === 'png' : isSheet ? entry.format !== 'exr' && entry.bits === 8 : true));
    const about = WRITES.find(([writes]) => writes === order.writes)?.[2] ?? '';
    function write(writes: ExportWrites) {
        set({ writes, ...(writes === 'passes' ? { format: 'exr', bits: 16 } : writes === 'layers' ? { format: 'png', bits: 8 } : writes !== 'picture' ? { format: 'png', bits: 8 } : {}) });
    }
    return (
        <>
            {!picturesOnly && (
                <fieldset className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1.5">
                    <legend className="sr-only">What is written</legend>
                    {WRITES.map(([writes, label]) => (
                        <Choice key={writes} name="writes" label={label} checked={order.writes === writes} onSet={() => write(writes)} />
                    ))}
                </fieldset>
            )}
            {about !== '' && <p className="mt-1.5 text-quiet">{about}</p>}
            <fieldset className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1.5">
                <legend className="sr-only">Format</legend>
                {formats.map((entry) => (
                    <Choice key={keyOf(entry)} name="format" label={order.writes === 'layers' ? `${entry.bits} bits a channel` : entry.label} checked={keyOf(entry) === keyOf(order)} onSet={() => set({ format: entry.format, bits: entry.bits })} />
                ))}
                {format?.isLossy && !isLinear && <Numbered label="Quality" unit="%" value={order.quality} least={1} most={100} onSet={(quality) => set({ quality: quality ?? 92 })} />}
            </fieldset>
            {isPicture && format && !format.keepsAlpha && <p className="mt-1.5 text-quiet">What is clear is laid on black: this format has no transparency.</p>}
            {isPicture && format?.format === 'webp' && <p className="mt-1.5 text-quiet">At 100 % nothing is lost.</p>}
            {isLinear && <p className="mt-1.5 text-quiet">Halves in linear light, brighter than white where the scene is; in its own size.</p>}
            {((isPicture && !isLinear) || isSheet) && (
                <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
                    <Numbered label="Longer side" unit="px" value={order.longSide} least={1} most={30000} placeholder={size && isPicture ? String(Math.max(size.width, size.height)) : 'own'} onSet={(longSide) => set({ longSide, percent: 100 })} />
                    {isPicture && order.longSide === null && <Numbered label="or" unit="%" value={order.percent} least={1} most={400} onSet={(percent) => set({ percent: percent ?? 100 })} />}
                    {isPicture && <Numbered label="Sharpen for that size" unit="%" value={order.sharpen} least={0} most={200} onSet={(sharpen) => set({ sharpen: sharpen ?? 0 })} />}
                </div>
            )}
            {isPicture && !isLinear && (
                <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1.5">
                    <label className="flex items-center gap-1.5 text-quiet">
                        Colours
                        <select aria-label="Colours of the file" className="h-6 rounded-sm bg-well px-1.5 text-ink" value={order.colours} onChange={(event) => set({ colours: event.target.value as ExportOrder['colours'] })}>
                            <option value="srgb">sRGB</option>
                            <option value="p3">Display P3</option>
                        </select>
                    </label>
                    <label className="flex items-center gap-1.5 text-quiet" title="Camera, time and place, as the backdrop's own file tells them; without it the file says nothing of itself">
                        <input type="checkbox" className="accent-[#ececec]" checked={order.metadata} onChange={(event) => set({ metadata: event.target.checked })} />
                        With what the backdrop&rsquo;s file says of itself
                    </label>
                </div>
            )}
        </>
    );
}

function Choice({ name, label, checked, onSet }: { name: string; label: string; checked: boolean; onSet: () => void }) {
    return (
        <label className="flex items-center gap-1.5">
            <input type="radio" name={name} className="accent-[#ececec]" checked={checked} onChange={onSet} />
            {label}
        </label>
    );
}

/** A whole number, or none where there may be none. */
function Numbered({ label, unit, value, least, most, placeholder, onSet }: { label: string; unit: string; value: number | null; least: number; most: number; placeholder?: string; onSet: (value: number | null) => void }) {
    return (
        <label className="flex items-center gap-1.5 text-quiet">
            {label}
            <input
                type="number"
                min={least}
                max={most}
                placeholder={placeholder}
                value={value ?? ''}
                className="h-6 w-[72px] rounded-sm bg-well px-2 font-mono text-[12px] text-ink"
                onChange={(event) => onSet(event.target.value === '' ? null : Math.min(most, Math.max(least, Math.round(Number(event.target.value)) || least)))}
            />
            {unit}
        </label>
    );
}
