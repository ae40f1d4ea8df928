import { say } from '../../words/words';
import { OfficeHead, OfficeLinks } from './Office';
import type { ErrorProps } from './props';
import { useAddress } from './reading';
import { SearchForm } from './Search';

/** Instead of a page that cannot be shown: what happened (the server fills in the empty sentence), and where to go from here. */
export function ErrorPage({ status }: ErrorProps) {
    const address = useAddress();
    return (
        <>
            <OfficeHead />
            <main className="text">
                <h1>{say(`error-page.${status}.title`)}</h1>
                <p className="why" />
                <p>{say(`error-page.${status}.text`)}</p>
                <SearchForm />
                <p>
                    <a href={address('/')}>{say('error-page.find-your-zone')}</a>
                </p>
            </main>
            <footer>
                <p className="about">
                    <OfficeLinks />
                </p>
            </footer>
        </>
    );
}
