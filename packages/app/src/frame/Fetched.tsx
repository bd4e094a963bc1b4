import { Component, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';

interface FetchedProps {
  /** What is missing where it cannot be fetched, as a sentence begins with it. */
  what: string;
  children: ReactNode;
}

/** A part of a screen that is fetched when it is needed: where the server is away it says so, and the rest stays. */
export class Fetched extends Component<FetchedProps, { hasFailed: boolean }> {
  override state = { hasFailed: false };

  static getDerivedStateFromError(): { hasFailed: boolean } {
    return { hasFailed: true };
  }

  override render(): ReactNode {
    if (!this.state.hasFailed) return this.props.children;
    return (
      <View role="alert">
        <Text variant="bodyMedium">{this.props.what} cannot be shown: it is still to be fetched, and the server is away. Nothing is lost.</Text>
        <Button mode="text" onPress={() => globalThis.location.reload()} contentStyle={{ minHeight: 48 }}>
          Try again
        </Button>
      </View>
    );
  }
}
