import { type ChangeEvent, Component, type ContextType } from 'react';
import { KeeperContext } from '@/shell/keeper';

type Props = { label: string };
type State = { note: string };

/** Left from earlier days. */
export class NoteField extends Component<Props, State> {
  static contextType = KeeperContext;
  declare context: ContextType<typeof KeeperContext>;
  state: State = { note: '' };

  change = (event: ChangeEvent<HTMLInputElement>) => this.setState({ note: event.target.value });

  render() {
    return <input aria-label={this.props.label} title={this.context?.keeper.name} value={this.state.note} onChange={this.change} />;
  }
}
