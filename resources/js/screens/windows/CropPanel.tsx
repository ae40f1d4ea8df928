import { useCropSheet } from '../../app/data';
import { spanInWords } from '../../charts/days';
import { DerivationTable } from '../../charts/DerivationTable';

/** Why a crop's dates are what they are, line by line. */
export function CropPanel({ zone, crop, onClose }: { zone: string; crop: string; onClose: () => void }) {
    const { data: sheet, error } = useCropSheet(zone, crop);
    if (error) return <p className="warning">{error.message}</p>;
    if (!sheet) return null;
    return (
        <>
            <h2>{sheet.name}</h2>
            <p className="hint">
                <em>{sheet.latin}</em>, {sheet.family}
            </p>
            {sheet.notes && <p>{sheet.notes}</p>}
            {sheet.cautions.map((caution) => (
                <p key={caution.code} className="caution">
                    {caution.in_words}
                </p>
            ))}
            {sheet.routes.map((route) => (
                <section key={route.route}>
                    <h3>
                        {route.act.charAt(0).toUpperCase() + route.act.slice(1)}
                        {': '}
                        {route.windows.length === 0 ? 'no window here' : route.windows.map(spanInWords).join(', and ')}
                    </h3>
                    <DerivationTable lines={route.derivation} />
                </section>
            ))}
            <p style={{ marginTop: '0.8rem' }}>
                <a
                    href="?"
                    onClick={(event) => {
                        event.preventDefault();
                        onClose();
                    }}
                >
                    Back to the day
                </a>
            </p>
        </>
    );
}
