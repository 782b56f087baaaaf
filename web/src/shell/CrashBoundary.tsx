import { Component, type ReactNode } from 'react';
import { CrashScreen } from './CrashScreen.tsx';

type Props = {
  children: ReactNode;
  /** Another place shows another screen: it gets its own chance. */ place: string;
};

/** Catches a screen that breaks and shows what to do instead of a blank page. */
export class CrashBoundary extends Component<Props, { error: unknown; place: string }> {
  override state = { error: null, place: this.props.place };

  static getDerivedStateFromError = (error: unknown) => ({ error });

  static getDerivedStateFromProps = ({ place }: Props, state: { error: unknown; place: string }) =>
    place === state.place ? null : { error: null, place };

  override render() {
    return this.state.error === null ? this.props.children : <CrashScreen error={this.state.error} />;
  }
}
