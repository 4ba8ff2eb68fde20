import { useState, type InputHTMLAttributes } from 'react';
import { say } from '../ui/notices';
import { fitted, readNumber, type NumberRange } from '../ui/numbers';

/** What somebody typed, within its range; what could not be read or had to be brought there is said. */
export function understood(text: string, label: string, range: NumberRange): number | null {
    const typed = readNumber(text, range);
    if ('problem' in typed) {
        say(typed.problem);
        return null;
    }
    const { value, said } = fitted(typed.value, label, range);
    if (said !== null) {
        say(said);
    }
    return value;
}

/** What is being typed into a number, until it is finished or given up; the arrow keys step it, with shift by ten. */
export function useTyping(onDone: (text: string) => void, onStep: (steps: number) => void) {
    const [text, setText] = useState<string | null>(null);
    const finish = () => {
        if (text !== null) {
            setText(null);
            onDone(text);
        }
    };
    const props: InputHTMLAttributes<HTMLInputElement> = {
        inputMode: 'decimal',
        autoComplete: 'off',
        onFocus: (event) => event.target.select(),
        onChange: (event) => setText(event.target.value),
        onBlur: finish,
        onKeyDown: (event) => {
            const way = { ArrowUp: 1, ArrowDown: -1 }[event.key];
            if (event.key === 'Enter') {
                finish();
            } else if (event.key === 'Escape') {
                setText(null);
            } else if (way !== undefined) {
                event.preventDefault();
                setText(null);
                onStep(way * (event.shiftKey ? 10 : 1));
            }
        },
    };
    return { text, props };
}
