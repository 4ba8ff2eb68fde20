import { api } from '../api/client';
import type { ExportOrder } from '../api/types';
import { say, sayError } from '../ui/notices';

const KEPT = 'aumbrel exports';

const MOST = 12;

/** What one exported as the last time, and orders that are kept by name. */
export type Orders = { last: ExportOrder; presets: { name: string; order: ExportOrder }[] };

export const plainOrder: ExportOrder = { writes: 'picture', format: 'png', bits: 8, quality: 92, longSide: null, percent: 100, sharpen: 0, colours: 'srgb', metadata: false };

/** Those that are there from the start. */
export const ourPresets: Orders['presets'] = [
    { name: 'For print', order: { ...plainOrder, format: 'tiff', bits: 16 } },
    { name: 'For the web', order: { ...plainOrder, format: 'jpeg', quality: 88, longSide: 2048, sharpen: 60 } },
    { name: 'To go on elsewhere', order: { ...plainOrder, writes: 'layers' } },
];

const isSound = (order: unknown): order is ExportOrder =>
    typeof order === 'object' && order !== null && Object.entries(plainOrder).every(([name, like]) => (name === 'longSide' ? true : typeof (order as Record<string, unknown>)[name] === typeof like));

export function keptOrders(): Orders {
    try {
        const raw = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as Partial<Orders> | null;
        const presets = Array.isArray(raw?.presets) ? raw.presets.filter((preset) => typeof preset?.name === 'string' && isSound(preset.order)) : [];
        return { last: isSound(raw?.last) ? raw.last : plainOrder, presets };
    } catch {
        return { last: plainOrder, presets: [] };
    }
}

export function keepOrders(orders: Orders): void {
    try {
        localStorage.setItem(KEPT, JSON.stringify({ ...orders, presets: orders.presets.slice(-MOST) }));
    } catch {
        // a browser that keeps nothing still exports
    }
}

/** Exports as the last time. */
export async function exportAgain(scene: string): Promise<void> {
    try {
        const { name } = await api.orderExport(scene, keptOrders().last);
        say(`${name} is being written: Export lists it.`);
    } catch (error) {
        sayError(error);
    }
}
