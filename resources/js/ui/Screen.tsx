import { Component, Suspense, type ReactNode } from 'react';
import { Loading, Trouble } from './States';

type Props = { name: string; children: ReactNode };

/** One screen: fetched when it is opened, and what goes wrong in it stays in it. */
export class Screen extends Component<Props, { trouble: Error | null }> {
  override state = { trouble: null as Error | null };

  static getDerivedStateFromError(trouble: Error) {
    return { trouble };
  }

  override render() {
    if (this.state.trouble !== null) {
      return (
        <div className="px-6">
          <Trouble error={new Error(`The ${this.props.name} could not be drawn.`)} retry={() => window.location.reload()} />
        </div>
      );
    }
    return (
      <Suspense
        fallback={
          <div className="px-6">
            <Loading what={`the ${this.props.name}`} />
          </div>
        }
      >
        {this.props.children}
      </Suspense>
    );
  }
}
