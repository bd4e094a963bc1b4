import { Redirect } from 'expo-router';

/** An address that leads nowhere leads to the list. */
export default function NotFound() {
  return <Redirect href="/" />;
}
