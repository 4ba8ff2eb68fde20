/** A time as a colleague would say it. */
export function ago(time: string, now: number = Date.now()): string {
    const minutes = Math.max(0, (now - Date.parse(time)) / 60000);
    if (minutes < 1) {
        return 'just now';
    }
    if (minutes < 60) {
        return count(Math.floor(minutes), 'minute');
    }
    if (minutes < 60 * 24) {
        return count(Math.floor(minutes / 60), 'hour');
    }
    return count(Math.floor(minutes / 60 / 24), 'day');
}

function count(number: number, unit: string): string {
    return `${number} ${unit}${number === 1 ? '' : 's'} ago`;
}

/** A number with as many decimals as its step has, with a proper minus. */
export function figure(value: number, step: number, signed = false): string {
    const decimals = step >= 1 ? 0 : Math.min(3, Math.ceil(-Math.log10(step) - 1e-9));
    const text = Math.abs(value).toFixed(decimals);
    const isZero = Number(text) === 0;
    return (value < 0 && !isZero ? '−' : signed && value > 0 && !isZero ? '+' : '') + text;
}

/** What is said of changes that are not written yet. */
export function waiting(labels: string[]): string {
    return labels.length === 1 ? `"${labels[0]}" waits to be written` : `${labels.length} changes wait to be written`;
}

export function megabytes(bytes: number): string {
    if (bytes >= 1e9) {
        return `${(bytes / 1e9).toFixed(1)} GB`;
    }
    return bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
}
