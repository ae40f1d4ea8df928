import { Link } from 'react-router';
import { useTranslations } from '../api/languages';
import { languageName, say } from '../words/words';

/** What the public reads of these texts in the other languages, or that they are not translated. */
export function Translated({ texts }: { texts: string[] }) {
    const { data } = useTranslations();
    const written = texts.filter((text) => text !== '');
    if (!data || written.length === 0) return null;
    const known = new Map(data.texts.map((text) => [text.text, text.translations]));
    return data.languages.map((language) => (
        <p key={language} className="hint">
            {`${languageName(language)}: `}
            <span lang={language}>
                {written.map((text) => known.get(text)?.[language] ?? say('languages.not-translated')).join(' · ')}
            </span>{' '}
            <Link to="/desk/settings/languages">{say('languages.heading')}</Link>
        </p>
    ));
}
