import { usePalette } from './useLook';

export interface SliderProps {
  label: string;
  /** From 0 up to this, in whole steps. */
  most: number;
  value: number;
  /** What the value means, for who listens. */
  valueText: string;
  onChange: (value: number) => void;
}

/** A value between two ends, chosen by dragging, by tap or with arrows: the browser's own, in the colours of the app. */
export function Slider({ label, most, value, valueText, onChange }: SliderProps) {
  const palette = usePalette();
  return (
    <input
      type="range"
      min={0}
      max={most}
      step={1}
      value={value}
      aria-label={label}
      aria-valuetext={valueText}
      onChange={(event) => onChange(Number(event.target.value))}
      style={{ width: '100%', height: 48, margin: 0, accentColor: palette.ink }}
    />
  );
}
