import type { ReactNode } from 'react';
import { say } from '../../words/words';
import { Own } from './Own';
import type { OfficeMark, OfficeProps, PublicOffice } from './props';
import { Readings, useAddress } from './reading';

/** Pages about the calendars, and the parts of each, in order. */
export const OFFICE_PAGES: Record<OfficeProps['which'], string[]> = {
    about: ['what', 'whose', 'lean'],
    method: ['record', 'freeze', 'soil', 'light', 'replay', 'window', 'season', 'water', 'limits'],
    glossary: [
        'window',
        'best-days',
        'fair-chance',
        'last-chance',
        'freeze',
        'cold-season',
        'under-cover',
        'set-out',
        'harden-off',
        'bolting',
        'days-to-maturity',
        'day-length',
        'edition',
        'replay',
        'counting-back',
        'zone',
    ],
    contact: [],
    privacy: ['nothing', 'browser', 'mail', 'position'],
    accessibility: ['aim', 'ways', 'tell'],
};

/** What the calendars are, how they are made, what the words mean, and whom to contact. */
export function Office({ which, offices }: OfficeProps) {
    return (
        <>
            <OfficeHead>
                <nav aria-label={say('office.pages')}>
                    <OfficeLinks here={which} />
                </nav>
            </OfficeHead>
            <main className="text">
                <h1>{say(`office.${which}.title`)}</h1>
                <p>{say(`office.${which}.intro`)}</p>
                {OFFICE_PAGES[which].map((part) => (
                    <section key={part} id={part}>
                        <h2>{say(`office.${which}.${part}.heading`)}</h2>
                        <p>{say(`office.${which}.${part}.text`)}</p>
                    </section>
                ))}
                {which === 'contact' && offices.length === 0 && <p>{say('office.contact.none')}</p>}
                {which === 'contact' && offices.map((office) => <Contact key={office.slug} office={office} />)}
            </main>
        </>
    );
}

/** The head of a page that is not about a zone. */
export function OfficeHead({ children }: { children?: ReactNode }) {
    const address = useAddress();
    return (
        <header className="top">
            <a className="zone" href={address('/')}>
                {say('page.home.head')}
            </a>
            {children}
            <Readings />
        </header>
    );
}

/** Whose pages these are, if several offices publish side by side. */
export function OfficeLine({ office }: { office: OfficeMark | null | undefined }) {
    const address = useAddress();
    if (!office) return null;
    return (
        <span className={`office-line mark-${office.mark}`}>
            <a href={address(`/offices/${office.slug}`)}>{office.name}</a>
        </span>
    );
}

/** @param office slug of the office to contact, if there are several */
export function OfficeLinks({ here, office }: { here?: OfficeProps['which']; office?: string | undefined }) {
    const address = useAddress();
    return (Object.keys(OFFICE_PAGES) as OfficeProps['which'][]).map((which) => (
        <a
            key={which}
            href={address(which === 'contact' && office ? `/offices/${office}` : `/${which}`)}
            aria-current={which === here ? 'page' : undefined}
        >
            {say(`office.${which}.link`)}
        </a>
    ));
}

/** Whom to contact, and where. */
export function Contact({ office }: { office: PublicOffice }) {
    return (
        <address>
            <strong>{office.name}</strong>
            {(office.address ?? '').split('\n').map((line) => (
                <span key={line}>{line}</span>
            ))}
            {office.mail && <a href={`mailto:${office.mail}`}>{office.mail}</a>}
            {office.phone && <a href={`tel:${office.phone.replace(/[^0-9+]/g, '')}`}>{office.phone}</a>}
            {office.hours && <Own text={office.hours} />}
        </address>
    );
}
