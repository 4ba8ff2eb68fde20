import { RadioGroup } from 'radix-ui';

type Choice<T extends string> = { value: T; label: string; title?: string };

/** A few words of which one holds; the arrow keys go from one to the next. */
export function OneOf<T extends string>({ label, value, choices, onSet, look = 'framed' }: { label: string; value: T; choices: Choice<T>[]; onSet: (value: T) => void; look?: 'framed' | 'plain' }) {
    const [group, item] =
        look === 'framed'
            ? ['shrink-0 overflow-hidden rounded-sm border border-line', 'px-2 text-[12px] text-quiet data-[state=checked]:bg-raised data-[state=checked]:text-ink']
            : ['gap-0.5', 'h-6 rounded-md px-2.5 text-quiet hover:text-ink data-[state=checked]:bg-ink data-[state=checked]:font-semibold data-[state=checked]:text-well'];
    return (
        <RadioGroup.Root aria-label={label} orientation="horizontal" className={`flex ${group}`} value={value} onValueChange={(next) => onSet(next as T)}>
            {choices.map((choice) => (
                <RadioGroup.Item key={choice.value} value={choice.value} title={choice.title} className={item}>
                    {choice.label}
                </RadioGroup.Item>
            ))}
        </RadioGroup.Root>
    );
}
