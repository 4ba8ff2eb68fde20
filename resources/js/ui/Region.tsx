import { Component, type ReactNode } from 'react';

type Props = { name: string; children: ReactNode };

/**
 * A region of the screen that fails by itself: the others go on, nothing unwritten is lost, and it can be tried again.
 */
export class Region extends Component<Props, { failed: boolean }> {
    override state = { failed: false };

    static getDerivedStateFromError(): { failed: boolean } {
        return { failed: true };
    }

    override render(): ReactNode {
        if (!this.state.failed) {
            return this.props.children;
        }
        return (
            <div role="alert" className="flex flex-wrap items-center gap-2 p-3.5 text-[12.5px]">
                <span>
                    {this.props.name} could not be shown. Everything you did is kept.
                </span>
                <button className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised" onClick={() => this.setState({ failed: false })}>
                    Show it again
                </button>
            </div>
        );
    }
}
