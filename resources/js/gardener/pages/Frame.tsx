import type { ReactNode } from 'react';
import { dateInWords } from '../../time/days';
import { say } from '../../words/words';
import { OfficeLine, OfficeLinks } from './Office';
import { Own } from './Own';
import { Withdrawn } from './Withdrawn';
import type { Common } from './props';
import { Readings, useAddress, useUnread } from './reading';

type Here = 'week' | 'calendar' | 'crop' | 'mine';

/** The frame of every page of a zone: where you are, what the dates are based on, and which edition it is. */
export function Frame({ common, here, children }: { common: Common; here: Here; children: ReactNode }) {
    const { base, zone, edition } = common;
    const address = useAddress();
    const unread = useUnread();
    return (
        <>
            <header className="top">
                <OfficeLine office={common.office} />
                <a className="zone" href={`${base}`}>
                    {zone.name}
                </a>
                <nav aria-label={say('page.zone')}>
                    <a href={`${base}/this-week`} aria-current={here === 'week' ? 'page' : undefined}>
                        {say('page.this-week')}
                    </a>
                    <a href={base} aria-current={here === 'calendar' ? 'page' : undefined}>
                        {say('page.year')}
                    </a>
                    <a href={`${base}/mine`} data-mine="" aria-current={here === 'mine' ? 'page' : undefined}>
                        {say('page.mine')}
                    </a>
                    <a href={address('/')}>{say('page.other-zones')}</a>
                </nav>
                <Readings />
            </header>
            <main>
                {common.withdrawn && (
                    <>
                        <Withdrawn notice={common.withdrawn} number={edition.number} />
                        {base.includes('/editions/') && (
                            <p>
                                <a href={address(`/zones/${zone.slug}`)}>{say('page.current')}</a>
                            </p>
                        )}
                    </>
                )}
                {common.first_guess !== null && (
                    <p className="warning" role="note">
                        {say('page.short-record', { guess: common.first_guess })}
                    </p>
                )}
                {children}
            </main>
            <footer>
                <p>{common.guidance.map((phrase) => say(phrase)).join(' ')}</p>
                <p className="take">
                    {say('page.take')} <a href={`${base}/calendar.ics?events=short`}>{say('page.take.feed')}</a>,{' '}
                    <a href={`${base}/calendar.csv`}>{say('page.take.table')}</a>,{' '}
                    <a href={`${unread(base)}/calendar.json`}>{say('page.take.data')}</a>,{' '}
                    <a href={address(`/zones/${zone.slug}/news.atom`)}>{say('page.take.news')}</a>,{' '}
                    <a
                        href={
                            common.office ? `/open/v1/offices/${common.office.slug}/index.json` : '/open/v1/index.json'
                        }
                    >
                        {say('page.take.open')}
                    </a>
                    ,{' '}
                    {['year', 'wall', 'week', 'leaflet'].map((sheet, i) => (
                        <span key={sheet}>
                            {i > 0 && ', '}
                            <a href={`${base}/paper/${sheet}.pdf`}>{say(`sheet.${sheet}.name`)}</a>
                        </span>
                    ))}
                </p>
                <p
                    className="offline"
                    hidden
                    data-base={base}
                    data-kept={say('page.offline.kept')}
                    data-keeping={say('page.offline.keeping', { done: '{done}', all: '{all}' })}
                    data-no-room={say('page.offline.no-room')}
                >
                    <button type="button" className="plain" data-keep="">
                        {say('page.offline.keep')}
                    </button>
                    <span role="status" />{' '}
                    <button type="button" className="plain" data-forget="" hidden>
                        {say('page.offline.forget')}
                    </button>
                </p>
                <p className="about">
                    <OfficeLinks office={common.office?.slug} />
                </p>
                <p className="edition">
                    {say('page.edition', {
                        district: zone.district,
                        number: edition.number,
                        date: dateInWords(edition.published_on),
                        author: edition.published_by,
                        method: common.method_edition,
                    })}{' '}
                    <Own text={edition.note} />{' '}
                    <a href={address(`/zones/${zone.slug}/editions/${edition.number}`)}>{say('page.lasting')}</a>
                    <br />
                    {say('page.cite', {
                        zone: zone.name,
                        number: edition.number,
                        date: dateInWords(edition.published_on),
                        address: common.lasting,
                    })}
                    <br />
                    <span className="checksum">
                        {say('page.checksum', { checksum: edition.checksum.slice(0, 16) })}
                    </span>
                </p>
            </footer>
        </>
    );
}
