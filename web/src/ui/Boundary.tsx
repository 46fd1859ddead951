import { Component, type ReactNode } from 'react';
import { Trouble } from './States';

/** A part that can't be shown says so in its place; what is around it goes on. */
export class Boundary extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override render() {
    return this.state.failed ? (
      <div className="p-4">
        <Trouble
          text="This place can’t be shown: something in Jubek failed. Try again, or go to another place."
          onRetry={() => this.setState({ failed: false })}
        />
      </div>
    ) : (
      this.props.children
    );
  }
}
