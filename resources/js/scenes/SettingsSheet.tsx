import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api } from '../api/client';
import type { Token } from '../api/types';
import { useFileChoice } from '../ui/fileChoice';
import { say, sayError } from '../ui/notices';
import { ago } from '../ui/words';
import { keep, kept, keptText, plain, soundOf } from '../session/arrangement';

const LONGEST_NAME = 60;

const TOKENS = ['tokens'];

/** How one works in this browser, kept from day to day, out and in as a file; and the tokens of scripts. */
export function SettingsSheet({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
    return (
        <Dialog.Root open={open} onOpenChange={onOpenChange}>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
                <Dialog.Content aria-describedby={undefined} className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[560px] max-w-[96vw] overflow-y-auto -translate-x-1/2 -translate-y-1/2 rounded-md border border-line bg-panel p-5">
                    <Dialog.Title className="font-semibold">Settings</Dialog.Title>
                    <Own />
                    <Tokens />
                    <Dialog.Close className="mt-4 rounded-md border border-line px-3 py-1 hover:bg-raised">Close</Dialog.Close>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}

function Own() {
    const [now, setNow] = useState(kept);
    const set = (change: Partial<typeof now>) => {
        const next = { ...kept(), ...change };
        keep(next);
        setNow(next);
    };
    async function bring(file: File) {
        try {
            const raw: unknown = JSON.parse(await file.text());
            if (typeof raw !== 'object' || raw === null || !Object.keys(plain).some((name) => name in raw)) {
                throw new Error('no settings');
            }
            set(soundOf(raw));
            say('The settings of the file are in force.');
        } catch {
            say(`${file.name} holds no settings of Aumbrel.`);
        }
    }
    const [choose, field] = useFileChoice({ label: 'File of settings', accept: '.json' }, ([file]) => file && void bring(file));
    return (
        <div className="mt-3 flex flex-col gap-1.5">
            <p className="text-quiet">This browser remembers how the room is divided, what is folded, the brush, and these:</p>
            <Switch checked={now.letters} onSet={(letters) => set({ letters })}>
                Single letters are keys
            </Switch>
            <Switch checked={now.likeLast} onSet={(likeLast) => set({ likeLast })}>
                A new strip looks like the last one of its kind, in whichever scene
            </Switch>
            <Switch checked={now.darkSurround} onSet={(darkSurround) => set({ darkSurround })}>
                A dark surround for the picture
            </Switch>
            <div className="mt-2 flex flex-wrap gap-2">
                <a className="rounded-sm border border-line px-2 py-0.5 text-quiet hover:bg-raised hover:text-ink" download="aumbrel-settings.json" href={`data:application/json,${encodeURIComponent(keptText())}`}>
                    Settings as a file
                </a>
                <button className="rounded-sm border border-line px-2 py-0.5 text-quiet hover:bg-raised hover:text-ink" onClick={choose}>
                    Bring in settings
                </button>
                <button className="rounded-sm border border-line px-2 py-0.5 text-quiet hover:bg-raised hover:text-ink" onClick={() => set(plain)}>
                    As in the beginning
                </button>
            </div>
            {field}
        </div>
    );
}

function Switch({ checked, onSet, children }: { checked: boolean; onSet: (checked: boolean) => void; children: React.ReactNode }) {
    return (
        <label className="flex items-center gap-2">
            <input type="checkbox" className="h-4 w-4 accent-[#ececec]" checked={checked} onChange={(event) => onSet(event.target.checked)} />
            {children}
        </label>
    );
}

function Tokens() {
    const queries = useQueryClient();
    const { data, error, isPending } = useQuery({ queryKey: TOKENS, queryFn: api.tokens });
    const [name, setName] = useState('');
    const [made, setMade] = useState<string | null>(null);
    const know = ({ tokens }: { tokens: Token[] }) => queries.setQueryData(TOKENS, { tokens });
    async function make() {
        try {
            const reply = await api.makeToken(name.trim());
            know(reply);
            setMade(reply.token);
            setName('');
        } catch (problem) {
            sayError(problem);
        }
    }
    return (
        <section aria-label="Tokens for scripts" className="mt-4 border-t border-line pt-3">
            <h3 className="font-medium">Tokens for scripts</h3>
            <p className="text-quiet">
                A script sends one in place of a session. <a className="underline" href="/api" target="_blank" rel="noopener">The API</a> says what can be asked.
            </p>
            <ul className="mt-2 flex flex-col gap-1">
                {data?.tokens.map((token) => (
                    <li key={token.id} className="flex items-center gap-3">
                        <span className="min-w-0 flex-1 truncate">{token.name}</span>
                        <span className="text-quiet">{token.used === null ? 'never used' : `used ${ago(token.used)}`}</span>
                        <button className="rounded-sm border border-line px-2 text-quiet hover:bg-raised hover:text-ink" aria-label={`Withdraw ${token.name}`} onClick={() => void api.withdrawToken(token.id).then(know, sayError)}>
                            Withdraw
                        </button>
                    </li>
                ))}
                {isPending && <li className="text-quiet">Loading the tokens…</li>}
                {data?.tokens.length === 0 && <li className="text-quiet">There are none.</li>}
                {error && <li className="text-alarm">{error.message}</li>}
            </ul>
            {made !== null && (
                <p role="status" className="mt-2 rounded-sm bg-well p-2">
                    <span className="font-mono text-[12px] break-all select-all">{made}</span>
                    <span className="block text-quiet">Copy it now: it is not shown again.</span>
                </p>
            )}
            <form
                className="mt-2 flex gap-2"
                onSubmit={(event) => {
                    event.preventDefault();
                    void make();
                }}
            >
                <input aria-label="Name of the token" placeholder="Name, such as nightly" maxLength={LONGEST_NAME} className="h-6 w-[200px] rounded-sm bg-well px-1.5" value={name} onChange={(event) => setName(event.target.value)} />
                <button className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised disabled:opacity-50" disabled={name.trim() === ''}>
                    Make a token
                </button>
            </form>
        </section>
    );
}
