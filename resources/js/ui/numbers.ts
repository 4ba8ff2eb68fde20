/** What a field says of the numbers that it takes. */
export type NumberRange = { unit: string; least: number; most: number; /** px that make a hundred percent, for sizes */ shortSide?: number };

export type Typed = { value: number } | { problem: string };

/** Units that may stand behind a number: how much of the field's own unit one of them is, or a way there. */
const UNITS: Record<string, Record<string, number | ((value: number) => number)>> = {
    px: { px: 1, pixel: 1, pixels: 1 },
    stops: { stop: 1, stops: 1 },
    K: { k: 1, kelvin: 1, mired: (mired) => 1e6 / mired, mireds: (mired) => 1e6 / mired },
    '%': { '%': 1, percent: 1 },
    '°': { '°': 1, deg: 1, degree: 1, degrees: 1, rad: 180 / Math.PI },
};

/** One number as people write it: digits with separators, a decimal comma or point, a fraction of a half. */
const NUMBER = /^(?:\d[\d.,'’_\u00a0\u2009\u202f ]*\d|\d)?(?:[.,]\d+)?(?:e[+-]?\d+)?/i;

/** Puts the tokens of a sum together; a value of its own for each text. */
class Sum {
    private at = 0;

    constructor(
        private readonly text: string,
        private readonly range: NumberRange,
    ) {}

    /** The value, or null when the text is no sum. */
    read(): number | null {
        const value = this.terms();
        this.space();
        return value !== null && this.at === this.text.length && Number.isFinite(value) ? value : null;
    }

    private terms(): number | null {
        let value = this.factors();
        for (let sign = this.one('+-−–'); value !== null && sign !== null; sign = this.one('+-−–')) {
            const next = this.factors();
            value = next === null ? null : sign === '+' ? value + next : value - next;
        }
        return value;
    }

    private factors(): number | null {
        let value = this.signed();
        for (let sign = this.one('*×/÷:'); value !== null && sign !== null; sign = this.one('*×/÷:')) {
            const next = this.signed();
            value = next === null ? null : '*×'.includes(sign) ? value * next : value / next;
        }
        return value;
    }

    private signed(): number | null {
        const sign = this.one('+-−–');
        const value = this.single();
        return value !== null && sign !== null && sign !== '+' ? -value : value;
    }

    private single(): number | null {
        if (this.one('(') !== null) {
            const value = this.terms();
            return this.one(')') === null ? null : value;
        }
        this.space();
        const found = NUMBER.exec(this.text.slice(this.at))?.[0] ?? '';
        const value = found === '' ? null : plain(found, this.range);
        if (value === null) {
            return null;
        }
        this.at += found.length;
        return this.withUnit(value);
    }

    private withUnit(value: number): number | null {
        this.space();
        const name = /^(?:[a-z]+|°|%)/i.exec(this.text.slice(this.at))?.[0];
        if (name === undefined) {
            return value;
        }
        const unit = UNITS[this.range.unit]?.[name.toLowerCase()] ?? (this.range.unit === 'px' && name === '%' && this.range.shortSide !== undefined ? this.range.shortSide / 100 : undefined);
        if (unit === undefined) {
            return null;
        }
        this.at += name.length;
        return typeof unit === 'number' ? value * unit : unit(value);
    }

    private one(of: string): string | null {
        this.space();
        const next = this.text[this.at];
        if (next === undefined || !of.includes(next)) {
            return null;
        }
        this.at++;
        return next;
    }

    private space(): void {
        while (/\s/.test(this.text[this.at] ?? '')) {
            this.at++;
        }
    }
}

/** Reads separators of thousands and the decimal sign; null when they make no number. */
function plain(text: string, { least, most }: NumberRange): number | null {
    const [mantissa = '', power] = text.toLowerCase().split('e');
    const bare = mantissa.replace(/['’_\s]/g, (sign, at: number) => (/^\d{3}(?!\d)/.test(mantissa.slice(at + 1)) ? '' : sign));
    if (/['’_\s]/.test(bare)) {
        return null;
    }
    const [points, commas] = [bare.split('.').length - 1, bare.split(',').length - 1];
    const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','));
    const isGrouped = (sign: string) => new RegExp(`^\\d{1,3}(\\${sign}\\d{3})+$`).test(bare);
    let digits: string;
    if (points > 0 && commas > 0) {
        // the later sign is the decimal one, the other one groups
        digits = bare.slice(0, last).replace(/[.,]/g, '') + '.' + bare.slice(last + 1);
    } else if (points > 1 || commas > 1) {
        const sign = points > 1 ? '.' : ',';
        if (!isGrouped(sign)) {
            return null;
        }
        digits = bare.replaceAll(sign, '');
    } else if (commas === 1 && isGrouped(',') && !bare.startsWith('0') && isWithin(Number(bare.replace(',', '')), least, most)) {
        // 12,000 where that can be meant; 1,500 in a field that ends at 6 is one and a half
        digits = bare.replace(',', '');
    } else {
        digits = bare.replace(',', '.');
    }
    const value = Number(power === undefined ? digits : `${digits}e${power}`);
    return digits === '' || Number.isNaN(value) ? null : value;
}

function isWithin(value: number, least: number, most: number): boolean {
    return value >= least && value <= most;
}

/**
 * The number in what somebody typed: with separators ("12 000", "12,000", "1.234,5"), as a fraction ("1/2"), with a unit
 * ("2.5 %" of a size in px, "320 mired"), as a simple sum ("3200 + 2*50").
 */
export function readNumber(text: string, range: NumberRange): Typed {
    const trimmed = text.trim();
    if (trimmed === '') {
        return { problem: 'Nothing was typed.' };
    }
    const value = new Sum(trimmed, range).read();
    return value === null ? { problem: `"${trimmed}" is no number${range.unit ? ` in ${range.unit}` : ''}: it was left as it was.` } : { value };
}

/** The number within its range, and the sentence to say when it had to be brought there. */
export function fitted(value: number, label: string, { unit, least, most }: NumberRange): { value: number; said: string | null } {
    const within = Math.min(most, Math.max(least, value));
    const words = (number: number) => `${Math.round(number * 1e4) / 1e4}${unit ? ` ${unit}` : ''}`;
    return { value: within, said: within === value ? null : `${label} goes from ${words(least)} to ${words(most)}: ${words(value)} became ${words(within)}.` };
}
