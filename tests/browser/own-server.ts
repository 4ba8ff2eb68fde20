import { spawn, type ChildProcess } from 'node:child_process';
import { rmSync } from 'node:fs';
import { connect } from 'node:net';

/** A server of a test's own, which may be killed and started again on the same data. */
export class OwnServer {
    private process: ChildProcess | null = null;

    constructor(
        readonly port: number,
        private readonly root: string,
    ) {}

    get url(): string {
        return `http://127.0.0.1:${this.port}`;
    }

    /** @param keep goes on with the data of an earlier start */
    async start(keep = false, environment: Record<string, string> = {}): Promise<void> {
        this.process = spawn('tests/browser/serve', [String(this.port)], {
            env: { ...process.env, AUMBREL_TEST_ROOT: this.root, KEEP: keep ? '1' : '', ...environment },
            stdio: ['ignore', 'pipe', 'inherit'],
        });
        await new Promise<void>((resolve, reject) => {
            this.process?.stdout?.on('data', (text: Buffer) => text.toString().includes('Aumbrel runs at') && resolve());
            this.process?.on('exit', (code) => reject(new Error(`the server ended with ${code}`)));
        });
    }

    /** Ends it as a power cut does: nothing is told, and what it has started goes with it. */
    async kill(): Promise<void> {
        const gone = new Promise((resolve) => this.process?.on('exit', resolve));
        this.process?.kill('SIGKILL');
        await gone;
        for (let k = 0; k < 100 && (await this.listens()); k++) {
            await new Promise((done) => setTimeout(done, 50));
        }
    }

    async stop(): Promise<void> {
        if (this.process?.exitCode === null) {
            const gone = new Promise((resolve) => this.process?.on('exit', resolve));
            this.process.kill('SIGTERM');
            await gone;
        }
        rmSync(this.root, { recursive: true, force: true });
    }

    listens(): Promise<boolean> {
        return new Promise((resolve) => {
            const line = connect(this.port, '127.0.0.1');
            line.on('connect', () => (line.destroy(), resolve(true)));
            line.on('error', () => resolve(false));
        });
    }
}
