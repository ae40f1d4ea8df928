import { say } from '../../words/words';
import type { LetterProps } from './props';
import { useAddress } from './reading';

/** The result of subscribing to the newsletter, confirming, and unsubscribing. */
export function Letter({ state, zone, mail, crops }: LetterProps) {
    const address = useAddress();
    return (
        <>
            <header className="top">
                <a className="zone" href={address(zone ? `/zones/${zone.slug}` : '/')}>
                    {zone ? zone.name : say('page.home.head')}
                </a>
            </header>
            <main className="text">
                <h1>{say('letter.title')}</h1>
                <p role="status">{say(`letter.state.${state}`, { zone: zone?.name })}</p>
                {zone && state === 'not-an-address' && <LetterForm zone={zone.slug} crops={crops} mail={mail} />}
                {(state === 'confirm' || state === 'leave') && (
                    <form method="post">
                        <input type="hidden" name="crops" value={crops} />
                        <button type="submit">{say(`letter.do.${state}`)}</button>
                    </form>
                )}
            </main>
        </>
    );
}

/** Asks for an e-mail address, and for nothing else. */
export function LetterForm({ zone, crops, mail = '' }: { zone: string; crops: string; mail?: string }) {
    const address = useAddress();
    return (
        <form className="find" method="post" action={address(`/zones/${zone}/letter`)}>
            <label htmlFor="mail">{say(crops === '' ? 'letter.ask' : 'letter.ask-own')}</label>
            <div>
                <input id="mail" name="mail" type="email" autoComplete="email" required defaultValue={mail} />
                <input type="hidden" name="crops" value={crops} />
                <button type="submit">{say('letter.send')}</button>
            </div>
        </form>
    );
}
