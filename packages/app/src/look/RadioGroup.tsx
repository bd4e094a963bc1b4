import { createContext, use, type ReactNode } from 'react';
import { Pressable, View, type StyleProp, type ViewStyle } from 'react-native';

interface RadioGroupProps {
  label: string;
  /** Whether one of them is chosen: that is where Tab stops; else it stops at each. */
  hasChosen: boolean;
  /** Arrows go from one to the next and choose none yet: where choosing closes what they stand in. */
  onlyMoves?: boolean;
  style?: StyleProp<ViewStyle>;
  children: ReactNode;
}

const HasChosen = createContext(false);

/** One of several: one stop of Tab, and arrows go along and choose. WAI-ARIA Authoring Practices, radio group. */
export function RadioGroup({ label, hasChosen, onlyMoves = false, style, children }: RadioGroupProps) {
  const onKeyDown = (event: KeyboardEvent & { currentTarget: HTMLElement }) => {
    const step = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
    const here = event.target as Element;
    if (step === undefined || !here.matches('[role=radio]')) return;
    event.preventDefault();
    const radios = [...event.currentTarget.querySelectorAll<HTMLElement>('[role=radio]:not([aria-disabled=true])')];
    const next = radios.at((radios.indexOf(here as HTMLElement) + step) % radios.length);
    next?.focus();
    if (!onlyMoves) next?.click();
  };
  return (
    <HasChosen value={hasChosen}>
      <View role="radiogroup" aria-label={label} style={style} {...({ onKeyDown } as object)}>
        {children}
      </View>
    </HasChosen>
  );
}

/** The `tabIndex` of one of a group. */
export function useRadioTab(isOn: boolean): 0 | -1 {
  return use(HasChosen) && !isOn ? -1 : 0;
}

interface RadioProps {
  isOn: boolean;
  onPress: () => void;
  label?: string;
  style?: StyleProp<ViewStyle>;
  children: ReactNode;
}

/** One of a group, drawn as it likes; with a ring before it, it is a `Tick`. Space takes it too. */
export function Radio({ isOn, onPress, label, style, children }: RadioProps) {
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== ' ') return;
    event.preventDefault();
    onPress();
  };
  return (
    <Pressable
      role="radio"
      aria-checked={isOn}
      aria-label={label}
      tabIndex={useRadioTab(isOn)}
      onPress={onPress}
      {...({ onKeyDown } as object)}
      style={style}
    >
      {children}
    </Pressable>
  );
}
