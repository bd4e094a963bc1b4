import type { CodePlan } from '@yellow-latch/core/codePlan';
import { proxy } from 'comlink';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useEffortRequest } from '@/answers/effort/useEffortRequest';
import { useList } from '@/frame/replica/ReplicaProvider';

/** How long the slider rests before a plan is made, in ms. */
const REST = 250;

interface PlanState {
  /** The last one; null: none yet, or none is to be had. */
  readonly plan: CodePlan | null;
  /** Whether it is for what is asked: one that is not may change what was just told to stay. */
  readonly isCurrent: boolean;
  /** How much of a new one is done, from 0 to 1; null: none is being made. */
  readonly progress: number | null;
  readonly cancel: () => void;
}

/** A plan for the codes of the list as it stands, made anew when what is asked changes. `price`: seconds a week. */
export function usePlan(price: number, locked: ReadonlySet<string>): PlanState {
  const { client, state } = useAudit();
  const { conventions } = useList();
  const request = useEffortRequest();
  const [made, setMade] = useState<{ plan: CodePlan; price: number; locked: ReadonlySet<string> } | null>(null);
  const [progress, setProgress] = useState<number | null>(0);
  const version = state.result?.version;
  useEffect(() => {
    if (!request) return;
    let isOver = false;
    const timer = setTimeout(() => {
      setProgress(0);
      void client
        .ask(
          ({ codePlan }) =>
            codePlan.run(
              { ...request, conventions, price, locked: [...locked] },
              proxy((done: number) => {
                if (!isOver) setProgress(done);
              }),
            ) as Promise<CodePlan | null>,
        )
        .then((plan) => {
          if (isOver) return;
          setProgress(null);
          if (plan) setMade({ plan, price, locked });
        });
    }, REST);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [client, conventions, request, price, locked, version]);
  useEffect(() => () => void client.ask(({ codePlan }) => codePlan.cancel()), [client]);
  return {
    plan: made?.plan ?? null,
    isCurrent: made?.price === price && made.locked === locked,
    progress,
    cancel: () => {
      setProgress(null);
      void client.ask(({ codePlan }) => codePlan.cancel());
    },
  };
}
