import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Slot } from 'expo-router';
import { PaperProvider } from 'react-native-paper';

const client = new QueryClient();

/** What our first screen is measured beside: the same packages, and nothing made of them. */
export default function RootLayout() {
  return (
    <QueryClientProvider client={client}>
      <PaperProvider>
        <Slot />
      </PaperProvider>
    </QueryClientProvider>
  );
}
