import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { asRead, labelOf } from './columns';
import { useSettleShippedCrop, useShippedCrops } from './queries';

/** What an update of the table that ships offers, crop by crop: accept it, or leave the book as it is. */
export function ShippedCrops({ mayEdit }: { mayEdit: boolean }) {
    const { data: offers } = useShippedCrops();
    const settle = useSettleShippedCrop();
    if (!offers || offers.length === 0) return null;
    return (
        <section className="shipped">
            <h3>{say('shipped.heading', { crops: offers.length })}</h3>
            <p className="hint">{say('shipped.what-it-is')}</p>
            <Problem error={settle.error} />
            <table className="ruled">
                <tbody>
                    {offers.map((offer) => (
                        <tr key={offer.slug}>
                            <th scope="row">
                                {offer.name}
                                {offer.version === null && <small> {say('shipped.new')}</small>}
                            </th>
                            <td>
                                {offer.version === null
                                    ? say('shipped.not-in-the-book')
                                    : offer.cells.map((cell) => (
                                          <span key={cell.column} className="line">
                                              {say('shipped.cell', {
                                                  column: labelOf(cell.column),
                                                  mine: asRead(cell.column, cell.mine ?? '') || say('shipped.blank'),
                                                  shipped: asRead(cell.column, cell.shipped) || say('shipped.blank'),
                                              })}
                                          </span>
                                      ))}
                            </td>
                            {mayEdit && (
                                <td className="nowrap">
                                    <Action onClick={() => settle.mutate({ ...offer, take: true })}>
                                        {say('shipped.take')}
                                    </Action>{' '}
                                    <Action onClick={() => settle.mutate({ ...offer, take: false })}>
                                        {say('shipped.leave')}
                                    </Action>
                                </td>
                            )}
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}
