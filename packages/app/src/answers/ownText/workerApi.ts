/** What the audit worker does with a person's own text; it is not kept there. Runs in Node for tests. */
import { scanOwnText, type OwnTextReport } from '@yellow-latch/core/clash';
import { oddCapitals, type OddWord } from '@yellow-latch/core/corrections';
import { decodeText } from '@yellow-latch/core/exchange/decode';
import { CompiledList } from '@yellow-latch/core/fire';
import { profileOf } from '@yellow-latch/core/profile';
import {
  readColumns,
  readOwnText,
  type OwnText,
  type OwnTextFormat,
  type OwnTextProblem,
} from '@yellow-latch/core/sent/ownText';

import type { AuditWorkerApi } from '@/answers/audit/workerApi';

/** A person's own text as it was read, and where codes would have fired in it. */
export interface ReadOwnText {
  readonly own: OwnText;
  readonly report: OwnTextReport;
}

export class OwnTextWorkerApi {
  constructor(private readonly audit: AuditWorkerApi) {}

  /** The columns or fields that a file has: of a table its first row, of JSON lines names. */
  columns(bytes: Uint8Array, type: 'csv' | 'json-lines'): string[] | OwnTextProblem {
    const decoded = decodeText(bytes);
    return 'type' in decoded ? decoded : readColumns(decoded.text, type);
  }

  /** Where the codes of the list would have fired in a file. Null: nothing has been checked yet. */
  read(bytes: Uint8Array, format: OwnTextFormat, device: string): ReadOwnText | OwnTextProblem | null {
    const checked = this.audit.checked();
    if (!checked) return null;
    const own = readOwnText(bytes, format);
    if ('type' in own) return own;
    return { own, report: scanOwnText(own.text, CompiledList.compile(checked.audit.entries, profileOf(device))) };
  }

  /** Words that a person writes with unusual capitals, in a text of their own; the commonest first. */
  capitals(bytes: Uint8Array, format: OwnTextFormat): readonly OddWord[] {
    const own = readOwnText(bytes, format);
    return 'type' in own ? [] : oddCapitals(own.text);
  }
}
