/** The outline of so many tones each, from dark to bright, as a path; the root of the counts, so that few are seen too. Black and white do not set the scale. */
export function hillOf(counts: number[] | null, wide: number, foot: number, high: number): string {
    if (!counts || counts.length === 0) {
        return '';
    }
    const most = Math.max(1, ...counts.slice(1, -1));
    const step = wide / (counts.length - 1);
    return `M0 ${foot} ${counts.map((count, x) => `L${(x * step).toFixed(1)} ${(foot - Math.min(1, Math.sqrt(count / most)) * high).toFixed(1)}`).join(' ')} L${wide} ${foot} Z`;
}
