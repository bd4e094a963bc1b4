import { t } from '@lingui/core/macro';
import type { Offer } from '@yellow-latch/core/fire';
import { splitMarker } from '@yellow-latch/core/model';
import { memo, useEffect, useRef, type CSSProperties, type KeyboardEvent } from 'react';

import { FACES } from '@/look/fonts';
import { Icon } from '@/look/icons';
import type { Palette } from '@/look/theme';
import { usePalette } from '@/look/useLook';

/** The element id of the list of offers, and of one in it, for the field whose offers they are. */
export const OFFERS_ID = 'offers';
export const offerId = (index: number) => `offer-${index}`;

interface OffersStripProps {
  offers: readonly Offer[];
  /** What each gives, for the eye. */
  textOf: (offer: Offer) => string;
  /** The one that the arrows have come to. */
  chosen: number | null;
  /** The shortcut that fires unless a longer code follows. */
  waiting: string | null;
  onTake: (offer: Offer) => void;
  onKeep: () => void;
  /** The arrows, Enter and Escape, where the list itself has the focus. */
  onKeyDown: (event: KeyboardEvent) => void;
}

const LONGEST = 60;

/**
 * What could be had by a tap while a code, or its beginning, is typed. Whole codes stand first, with a keyline of ink.
 * It is drawn with almost every key, and so of plain elements: as the views of the other screens are, it would take
 * longer than a key may.
 */
export function OffersStrip({ offers, textOf, chosen, waiting, onTake, onKeep, onKeyDown }: OffersStripProps) {
  const palette = usePalette();
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (chosen !== null) list.current?.children[chosen]?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  }, [chosen]);
  return (
    // Pressing one leaves the focus, and with it the caret and the keys, where they are.
    <div onMouseDown={(event) => event.preventDefault()} style={STRIP}>
      <div
        ref={list}
        role="listbox"
        id={OFFERS_ID}
        aria-label={t`Suggestions`}
        aria-activedescendant={chosen === null ? undefined : offerId(chosen)}
        tabIndex={0}
        onKeyDown={onKeyDown}
        style={LIST}
        onClick={({ target }) => {
          const index = (target as Element).closest('[role=option]')?.getAttribute('data-index');
          if (index !== null && index !== undefined) onTake(offers[Number(index)]!);
        }}
      >
        {offers.map((offer, index) => (
          <OfferKey
            // By their places, so that the next key changes words rather than elements.
            key={index}
            index={index}
            code={offer.entry.code}
            text={shortened(textOf(offer))}
            isExact={offer.isExact}
            isChosen={index === chosen}
            isWaiting={offer.entry.id === waiting}
            palette={palette}
          />
        ))}
      </div>
      <button
        type="button"
        aria-label={t`Keep what I typed`}
        onClick={onKeep}
        style={{ ...KEEP, borderLeft: `1px solid ${palette.line}` }}
      >
        <Icon name="close" size={20} color={palette.ink} />
      </button>
    </div>
  );
}

function shortened(text: string): string {
  return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text;
}

interface OfferKeyProps {
  index: number;
  code: string;
  text: string;
  isExact: boolean;
  isChosen: boolean;
  isWaiting: boolean;
  palette: Palette;
}

const OfferKey = memo(function OfferKey({ index, code, text, isExact, isChosen, isWaiting, palette }: OfferKeyProps) {
  const { before, mnemonic, after } = splitMarker(code);
  const edge = isExact || isChosen ? palette.ink : palette.line;
  const latch: CSSProperties = {
    ...LATCH,
    border: `1.5px solid ${palette.keyline}`,
    background: palette.latch,
    color: palette.onLatch,
  };
  return (
    <div
      role="option"
      id={offerId(index)}
      data-index={index}
      aria-selected={isChosen}
      aria-label={`${code}: ${text}`}
      style={{
        ...OFFER,
        border: `1.5px solid ${edge}`,
        background: isChosen ? palette.ink : palette.surface,
        color: isChosen ? palette.surface : palette.ink,
      }}
    >
      <span style={PLATE}>
        {before !== '' && <span style={latch}>{before}</span>}
        <span
          style={{
            ...MNEMONIC,
            border: `1.5px solid ${palette.keyline}`,
            background: palette.surface,
            color: palette.ink,
          }}
        >
          {mnemonic.replaceAll(' ', '␣')}
        </span>
        {after !== '' && <span style={latch}>{after}</span>}
      </span>
      <span style={WORDS}>
        <span style={TEXT}>{text}</span>
        {isWaiting && <span style={{ ...TEXT, fontSize: 12 }}>{t`waits for a longer code`}</span>}
      </span>
    </div>
  );
});

const STRIP: CSSProperties = { display: 'flex', height: 56, alignItems: 'stretch', contain: 'strict' };
const LIST: CSSProperties = {
  flex: 1,
  minWidth: 0,
  display: 'flex',
  alignItems: 'center',
  gap: 8,
  padding: '0 10px',
  overflowX: 'auto',
  scrollbarWidth: 'none',
};
const OFFER: CSSProperties = {
  flex: 'none',
  boxSizing: 'border-box',
  display: 'flex',
  alignItems: 'center',
  gap: 8,
  height: 48,
  maxWidth: 260,
  padding: '0 8px',
  borderRadius: 6,
  cursor: 'pointer',
  fontFamily: FACES.text,
};
const PLATE: CSSProperties = {
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  fontFamily: FACES.code,
  fontSize: 16,
  lineHeight: '22px',
};
const LATCH: CSSProperties = { borderRadius: 4, padding: '3px 5px', zIndex: 1 };
const MNEMONIC: CSSProperties = { borderRadius: 5, padding: '1px 6px', margin: '0 -1px' };
const WORDS: CSSProperties = { minWidth: 0, display: 'flex', flexDirection: 'column' };
const TEXT: CSSProperties = {
  fontSize: 15,
  lineHeight: '19px',
  whiteSpace: 'nowrap',
  overflow: 'hidden',
  textOverflow: 'ellipsis',
};
const KEEP: CSSProperties = {
  width: 52,
  padding: 0,
  border: 0,
  background: 'transparent',
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'center',
  cursor: 'pointer',
};
