/** Stands in for parts of expo-router that are asked for as it is read and never used (see metro.config.js). */
import { Fragment } from 'react';

export const createNativeStackNavigator = () => ({ Navigator: Fragment });
export const initScreensFeatureFlags = (): void => {};
export const Head = { Provider: Fragment };
