import { useLasting } from '../ui/lasting';
import { waiting } from '../ui/words';
import { useWaiting } from '../session/outbox';

/** Nothing is said of what is written within this time. */
const QUIET_MS = 700;

/** The one place that says what is not written yet, and why. */
export function Waits() {
    const { labels, reason } = useWaiting();
    const waits = labels.length > 0;
    const isLong = useLasting(waits, QUIET_MS);
    const shown = waits && (isLong || reason !== null);
    return (
        <p role="status" aria-live="polite" data-testid="waits" className="ml-3 max-w-[420px] truncate text-warm" title={shown ? [reason, ...labels].filter(Boolean).join('\n') : undefined}>
            {shown && waiting(labels)}
        </p>
    );
}
