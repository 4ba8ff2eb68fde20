import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api } from '../api/client';
import type { ExportOrder, Rig } from '../api/types';
import { picturesTaken } from '../generated/catalogue';
import { useFileChoice } from '../ui/fileChoice';
import { sayError } from '../ui/notices';
import { withFile } from '../ui/takingIn';
import { keptOrders } from '../export/last';
import { OrderForm } from '../export/OrderForm';
import { isUnderWay, Written } from '../export/Written';

/** Letters and digits of a name that nothing else has. */
const newBatch = () => Array.from(crypto.getRandomValues(new Uint8Array(26)), (byte) => '0123456789abcdefghjkmnpqrstvwxyz'[byte % 32]).join('');

/** A rig over many pictures: each becomes a scene on the wall, and is written out; all of it can be ended. */
export function OverPictures({ rig }: { rig: Rig }) {
    const [order, setOrder] = useState<ExportOrder>(() => ({ ...keptOrders().last, writes: 'picture' }));
    const [batch] = useState(newBatch);
    const [left, setLeft] = useState(0);
    const [refused, setRefused] = useState<{ name: string; why: string }[]>([]);
    const stopped = useRef(false);
    const queries = useQueryClient();
    const of = ['batch', batch];
    const list = useQuery({ queryKey: of, queryFn: () => api.batch(batch), refetchInterval: (query) => (left > 0 || query.state.data?.some(isUnderWay) ? 500 : false) });
    const entries = list.data ?? [];
    const goesOn = left > 0 || entries.some(isUnderWay);
    const [choose, field] = useFileChoice({ label: 'Pictures for the rig', accept: picturesTaken, multiple: true }, (files) => void over(files));

    async function over(files: File[]) {
        stopped.current = false;
        setRefused([]);
        setLeft(files.length);
        for (const [at, file] of files.entries()) {
            if (stopped.current) {
                break;
            }
            try {
                await withFile(file, (intake) => api.rigOver(rig.id, intake, batch, order));
            } catch (error) {
                setRefused((before) => [...before, { name: file.name, why: error instanceof Error ? error.message : 'it was not taken' }]);
            }
            setLeft(files.length - at - 1);
            await queries.invalidateQueries({ queryKey: of });
        }
        setLeft(0);
        await queries.invalidateQueries({ queryKey: ['scenes'] });
    }

    async function end() {
        stopped.current = true;
        await Promise.all(entries.filter(isUnderWay).map((entry) => api.cancelExport(entry.scene, entry.id))).catch(sayError);
        await queries.invalidateQueries({ queryKey: of });
    }

    return (
        <section aria-label={`${rig.name} over pictures`} className="mt-4 border-t border-line pt-3">
            <h3 className="font-medium">{rig.name} over pictures</h3>
            <p className="text-quiet">Each becomes a scene on the wall, with the rig&rsquo;s strips to be changed, and is written out.</p>
            <OrderForm size={null} order={order} onChange={setOrder} picturesOnly />
            <div className="mt-3 flex items-center gap-3">
                <button className="rounded-md bg-ink px-3 py-1 font-semibold text-well hover:bg-white disabled:opacity-50" disabled={left > 0} onClick={choose}>
                    Choose pictures
                </button>
                {goesOn && (
                    <button className="rounded-md border border-line px-3 py-1 hover:bg-raised" onClick={() => void end()}>
                        Cancel all
                    </button>
                )}
                <span role="status" className="text-quiet">
                    {entries.length > 0 || left > 0 ? `${entries.filter((entry) => entry.state === 'done').length} of ${entries.length + left} are written` : ''}
                </span>
            </div>
            {field}
            <ul aria-label="Files of the rig" className="mt-3 flex max-h-[200px] flex-col gap-1.5 overflow-y-auto">
                {entries.map((entry) => (
                    <Written key={entry.id} scene={entry.scene} entry={entry} of={of} />
                ))}
                {refused.map(({ name, why }) => (
                    <li key={name} className="text-alarm">
                        {name}: {why}
                    </li>
                ))}
                {list.isError && <li className="text-alarm">{list.error.message}</li>}
            </ul>
        </section>
    );
}
