import { Button, Group, Progress } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useSites } from '../../api/sites';
import { isOver, useCancel, useComputation } from '../../api/zones';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { useCompute } from './queries';

/** Computes the windows at a site that nobody has looked at since the zone was last computed. */
export function AtSite({ zone, site }: { zone: string; site: number }) {
    const { data: sites } = useSites();
    const [computation, setComputation] = useState<number | null>(null);
    const { data: progress } = useComputation(zone, computation);
    const compute = useCompute(zone, setComputation);
    const cancel = useCancel();
    const [, setParams] = useSearchParams();
    const started = useRef(false);
    const { mutate } = compute;
    useEffect(() => {
        if (!started.current) mutate(site);
        started.current = true;
    }, [mutate, site]);
    const name = sites?.find((s) => s.id === site)?.name ?? say('windows.this-site');
    return (
        <main className="page">
            <h2>{say('windows.working-out-the-windows', { name })}</h2>
            <Problem error={compute.error ?? cancel.error} />
            <div role="status" aria-live="polite">
                <p>{progress?.state === 'failed' ? progress.error : say(`step.${progress?.step ?? 'waiting'}`)} …</p>
                <Progress
                    w={360}
                    value={!progress || progress.total === 0 ? 5 : (100 * progress.done) / progress.total}
                    aria-label={say('common.progress')}
                />
            </div>
            <Group mt="md">
                {computation !== null && progress && !isOver(progress) && (
                    <Button variant="default" size="xs" onClick={() => cancel.mutate(computation)}>
                        {say('common.cancel')}
                    </Button>
                )}
                <Button variant="subtle" color="gray" size="xs" onClick={() => setParams({})}>
                    {say('windows.back-to-open-ground')}
                </Button>
            </Group>
        </main>
    );
}
