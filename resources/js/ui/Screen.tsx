import { Component, Suspense, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { Loading, Trouble } from './States';

type Props = { name: string; children: ReactNode };

/** One screen: fetched when it is opened, and what goes wrong in it stays in it: another address is drawn anew. */
export function Screen(props: Props) {
  return <Drawn {...props} address={useLocation().pathname} />;
}

type State = { trouble: Error | null; address: string };

class Drawn extends Component<Props & { address: string }, State> {
  override state: State = { trouble: null, address: this.props.address };

  static getDerivedStateFromError(trouble: Error) {
    return { trouble };
  }

  static getDerivedStateFromProps({ address }: { address: string }, state: State) {
    return address === state.address ? null : { trouble: null, address };
  }

  override render() {
    if (this.state.trouble !== null) {
      return (
        <div className="px-6">
          <Trouble error={new Error(`The ${this.props.name} could not be drawn.`)} retry={() => window.location.reload()}>
            {this.props.address !== '/' && (
              <Link to="/" className="push">
                To the hearth
              </Link>
            )}
          </Trouble>
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
