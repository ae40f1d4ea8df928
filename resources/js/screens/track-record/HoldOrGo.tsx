import { Button } from '@mantine/core';
import { useCan } from '../../access/session';
import type { Schema } from '../../api/client';
import { monthInWords } from '../../time/days';
import { Problem } from '../../ui/Problem';
import { RuledTable } from '../../ui/RuledTable';
import { say } from '../../words/words';
import { useJudgeSeason, useSeasonRecord } from './queries';

type Sum = Schema['HoldOrGoSum'];

/** Whether deciding by this season's counts was right more often than deciding by the calendar alone. */
export function HoldOrGo({ zone }: { zone: string }) {
    const { data } = useSeasonRecord(zone);
    if (!data) return null;
    return (
        <>
            <h3>{say('hold-or-go.heading')}</h3>
            {data.record ? (
                <Judged total={data.record.total} months={data.record.months} />
            ) : (
                <ToJudge zone={zone} done={data.done} total={data.total} />
            )}
        </>
    );
}

function ToJudge({ zone, done, total }: { zone: string; done: number; total: number }) {
    const judge = useJudgeSeason(zone);
    const mayJudge = useCan('edit-zones');
    return (
        <>
            <p>{say('hold-or-go.what')}</p>
            <Problem error={judge.error} />
            {(done > 0 || judge.isSuccess) && <p role="status">{say('hold-or-go.being-judged', { done, total })}</p>}
            {/* Judging that was stopped halfway continues; one in progress is not started twice. */}
            {mayJudge && !judge.isSuccess && (
                <Button size="xs" variant="default" loading={judge.isPending} onClick={() => judge.mutate()}>
                    {say('hold-or-go.judge')}
                </Button>
            )}
        </>
    );
}

const ofHundred = (right: number, cases: number) => Math.round((100 * right) / cases);

function Judged({ total, months }: { total: Sum; months: (Sum & { month: number })[] }) {
    if (total.cases === 0) return <p>{say('hold-or-go.none')}</p>;
    const more = ofHundred(total.right, total.cases) - ofHundred(total.right_of_record, total.cases);
    return (
        <>
            <p>
                {say('hold-or-go.total', {
                    right: ofHundred(total.right, total.cases),
                    record: ofHundred(total.right_of_record, total.cases),
                    cases: total.cases,
                })}{' '}
                {say(more > 0 ? 'hold-or-go.better' : more < 0 ? 'hold-or-go.worse' : 'hold-or-go.same', {
                    more: Math.abs(more),
                })}{' '}
                {total.skill !== null && say('hold-or-go.skill', { skill: total.skill })}
            </p>
            <RuledTable
                columns={[
                    say('hold-or-go.month'),
                    { number: say('hold-or-go.by-season') },
                    { number: say('hold-or-go.by-calendar') },
                    { number: say('hold-or-go.brier') },
                    { number: say('hold-or-go.brier-of-record') },
                    { number: say('hold-or-go.cases') },
                ]}
                rows={months.map((of) => [
                    of.month,
                    monthInWords(of.month),
                    ofHundred(of.right, of.cases),
                    ofHundred(of.right_of_record, of.cases),
                    say('hold-or-go.score', { score: of.brier ?? 0 }),
                    say('hold-or-go.score', { score: of.brier_of_record ?? 0 }),
                    say('number', { number: of.cases }),
                ])}
            />
        </>
    );
}
