import { nextOf } from '../session/firstSteps';
import { course, useWork, work } from '../session/store';

/** The order of work. It locks nothing; it decides what is offered first. */
export function Course() {
    const step = useWork((state) => state.step);
    const next = nextOf(useWork((state) => state.firstDone));
    return (
        <nav aria-label="Course" className="room-course flex w-11 shrink-0 flex-col bg-bar py-2">
            {course.map((name, at) => (
                <button
                    key={name}
                    aria-current={step === name ? 'step' : undefined}
                    title={next?.step === name ? `${name} (${at + 1}). Next: ${next.words}` : `${name} (${at + 1})`}
                    className={`relative flex flex-1 items-center justify-center ${step === name ? 'text-ink' : 'text-quiet hover:text-ink'}`}
                    onClick={() => work.step(name)}
                >
                    {step === name && <span className="absolute top-3 bottom-3 left-0 w-[3px] rounded-r-full bg-warm" />}
                    {next?.step === name && <span className="absolute top-2 right-2 h-2 w-2 rounded-full bg-warm" aria-hidden />}
                    <span className="rotate-180 [writing-mode:vertical-rl]">{name}</span>
                </button>
            ))}
        </nav>
    );
}
