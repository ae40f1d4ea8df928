import type { paths } from '../api/schema';
import type { Refused } from '.';

/** Types of what the server may answer, read off the contract, so no test has it answer what it never would. */

type Parts<Address extends string> = Address extends `/${infer Rest}`
    ? Parts<Rest>
    : Address extends `${infer Part}/${infer Rest}`
      ? [Part, ...Parts<Rest>]
      : [Address];

/** Whether an address is one of a path in the contract: part by part, and anything where the path has a parameter. */
type Fits<Address, Path> = Path extends [infer Part, ...infer Further]
    ? Address extends [infer Said, ...infer Others]
        ? Part extends `{${string}}`
            ? Fits<Others, Further>
            : Said extends Part
              ? Fits<Others, Further>
              : false
        : false
    : Address extends []
      ? true
      : false;

type PartsOfPaths = { [Path in keyof paths]: Parts<Path> };

type PathOf<Address> = {
    [Path in keyof paths]: Fits<Address, PartsOfPaths[Path]> extends true ? Path : never;
}[keyof paths];

type Data<Response> = Response extends { content: { 'application/json': { data: infer Found } } } ? Found : null;

type Success = 200 | 201 | 202 | 204;

type DataOf<Method extends string, Path extends keyof paths> =
    paths[Path] extends Record<Lowercase<Method>, { responses: infer Responses }>
        ? { [Status in keyof Responses & Success]: Data<Responses[Status]> }[keyof Responses & Success]
        : never;

/** The data in the answer to "METHOD /path" or "METHOD /path?query"; null: none; never: not in the contract. */
export type AnswerTo<What extends string> = What extends `${infer Method} ${infer Address}?${string}`
    ? DataOf<Method, PathOf<Parts<Address>>>
    : What extends `${infer Method} ${infer Address}`
      ? DataOf<Method, PathOf<Parts<Address>>>
      : never;

type Now<What extends string> = AnswerTo<What> | Refused;

type Sooner<What extends string> = Now<What> | Promise<Now<What>>;

/** What a test has the server answer: data or a refusal, at once or later, or worked out from the body that was sent. */
export type Answers<What extends string> = { [Asked in What]: Sooner<Asked> | ((body: never) => Sooner<Asked>) };
