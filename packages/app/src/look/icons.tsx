import { memo } from 'react';
import Archive from 'lucide-react-native/icons/archive';
import ArrowBigUp from 'lucide-react-native/icons/arrow-big-up';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import ChartNoAxesColumn from 'lucide-react-native/icons/chart-no-axes-column';
import Check from 'lucide-react-native/icons/check';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import ClipboardList from 'lucide-react-native/icons/clipboard-list';
import ClipboardPaste from 'lucide-react-native/icons/clipboard-paste';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import Combine from 'lucide-react-native/icons/combine';
import Compass from 'lucide-react-native/icons/compass';
import Copy from 'lucide-react-native/icons/copy';
import CornerDownLeft from 'lucide-react-native/icons/corner-down-left';
import Delete from 'lucide-react-native/icons/delete';
import Download from 'lucide-react-native/icons/download';
import Ellipsis from 'lucide-react-native/icons/ellipsis';
import FileText from 'lucide-react-native/icons/file-text';
import Files from 'lucide-react-native/icons/files';
import FileUp from 'lucide-react-native/icons/file-up';
import Folder from 'lucide-react-native/icons/folder';
import Grip from 'lucide-react-native/icons/grip';
import FileClock from 'lucide-react-native/icons/file-clock';
import House from 'lucide-react-native/icons/house';
import Inbox from 'lucide-react-native/icons/inbox';
import KeyRound from 'lucide-react-native/icons/key-round';
import Info from 'lucide-react-native/icons/info';
import Keyboard from 'lucide-react-native/icons/keyboard';
import Languages from 'lucide-react-native/icons/languages';
import Laptop from 'lucide-react-native/icons/laptop';
import LayoutGrid from 'lucide-react-native/icons/layout-grid';
import Link2 from 'lucide-react-native/icons/link-2';
import ListChecks from 'lucide-react-native/icons/list-checks';
import LockKeyhole from 'lucide-react-native/icons/lock-keyhole';
import LogOut from 'lucide-react-native/icons/log-out';
import Mail from 'lucide-react-native/icons/mail';
import MapPin from 'lucide-react-native/icons/map-pin';
import MessageSquare from 'lucide-react-native/icons/message-square';
import Minus from 'lucide-react-native/icons/minus';
import MonitorSmartphone from 'lucide-react-native/icons/monitor-smartphone';
import Omega from 'lucide-react-native/icons/omega';
import Music from 'lucide-react-native/icons/music';
import PencilLine from 'lucide-react-native/icons/pencil-line';
import Piano from 'lucide-react-native/icons/piano';
import Pin from 'lucide-react-native/icons/pin';
import Plus from 'lucide-react-native/icons/plus';
import Printer from 'lucide-react-native/icons/printer';
import Redo2 from 'lucide-react-native/icons/redo-2';
import RefreshCw from 'lucide-react-native/icons/refresh-cw';
import Rows3 from 'lucide-react-native/icons/rows-3';
import Replace from 'lucide-react-native/icons/replace';
import Ruler from 'lucide-react-native/icons/ruler';
import ScanLine from 'lucide-react-native/icons/scan-line';
import Search from 'lucide-react-native/icons/search';
import Send from 'lucide-react-native/icons/send';
import Settings2 from 'lucide-react-native/icons/settings-2';
import Share2 from 'lucide-react-native/icons/share-2';
import SlidersHorizontal from 'lucide-react-native/icons/sliders-horizontal';
import Smartphone from 'lucide-react-native/icons/smartphone';
import SpellCheck from 'lucide-react-native/icons/spell-check';
import Users from 'lucide-react-native/icons/users';
import Space from 'lucide-react-native/icons/space';
import Split from 'lucide-react-native/icons/split';
import Sprout from 'lucide-react-native/icons/sprout';
import Tablet from 'lucide-react-native/icons/tablet';
import Tag from 'lucide-react-native/icons/tag';
import TextCursorInput from 'lucide-react-native/icons/text-cursor-input';
import Timer from 'lucide-react-native/icons/timer';
import Trash2 from 'lucide-react-native/icons/trash';
import Truck from 'lucide-react-native/icons/truck';
import Undo2 from 'lucide-react-native/icons/undo-2';
import X from 'lucide-react-native/icons/x';
import type { LucideIcon } from 'lucide-react-native';
import type { Settings } from 'react-native-paper/lib/typescript/core/settings';

/** The icons in use, each imported by itself so that only these are shipped. */
const ICONS = {
  archive: Archive,
  'arrow-left': ArrowLeft,
  backspace: Delete,
  board: LayoutGrid,
  chart: ChartNoAxesColumn,
  check: Check,
  'chevron-down': ChevronDown,
  'chevron-left': ChevronLeft,
  'chevron-right': ChevronRight,
  'chevron-up': ChevronUp,
  'clipboard-list': ClipboardList,
  'clipboard-paste': ClipboardPaste,
  close: X,
  choose: ListChecks,
  'cloud-off': CloudOff,
  combine: Combine,
  computer: Laptop,
  compass: Compass,
  copy: Copy,
  device: Smartphone,
  devices: MonitorSmartphone,
  download: Download,
  drafts: Files,
  'file-text': FileText,
  'file-up': FileUp,
  filter: SlidersHorizontal,
  folder: Folder,
  gap: TextCursorInput,
  history: FileClock,
  house: House,
  inbox: Inbox,
  info: Info,
  key: KeyRound,
  keyboard: Keyboard,
  language: Languages,
  link: Link2,
  lock: LockKeyhole,
  mail: Mail,
  'map-pin': MapPin,
  message: MessageSquare,
  minus: Minus,
  more: Ellipsis,
  move: Grip,
  music: Music,
  omega: Omega,
  pencil: PencilLine,
  piano: Piano,
  phone: Smartphone,
  pin: Pin,
  plus: Plus,
  printer: Printer,
  redo: Redo2,
  refresh: RefreshCw,
  return: CornerDownLeft,
  rows: Rows3,
  replace: Replace,
  ruler: Ruler,
  scan: ScanLine,
  search: Search,
  send: Send,
  settings: Settings2,
  share: Share2,
  shift: ArrowBigUp,
  'sign-out': LogOut,
  space: Space,
  'spell-check': SpellCheck,
  split: Split,
  sprout: Sprout,
  tablet: Tablet,
  tag: Tag,
  timer: Timer,
  trash: Trash2,
  truck: Truck,
  undo: Undo2,
  users: Users,
} as const;

export type IconName = keyof typeof ICONS;

const UNTOUCHED = { pointerEvents: 'none' } as const;

interface IconProps {
  name: string;
  size?: number;
  color?: string;
}

/** An icon for the eye only: what it stands for is said by the control around it. Drawn anew only when it changes: lines are dear. */
export const Icon = memo(function Icon({ name, size = 22, color }: IconProps) {
  const Drawing = (ICONS as Record<string, LucideIcon>)[name] ?? Folder;
  // A press is for the control around it: a browser would give the focus to a line of the drawing.
  return <Drawing size={size} color={color} strokeWidth={2} aria-hidden focusable={false} style={UNTOUCHED} />;
});

/** Hands our icons to Paper, which would otherwise ship an icon font. */
export const paperSettings: Settings = {
  icon: ({ name, color, size }: IconProps) => <Icon name={name} color={color} size={size} />,
};
