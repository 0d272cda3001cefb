import { routes } from '@/lib/routes';

type Routes = typeof routes;
export type RouteName = keyof Routes;
type Placeholders<Path> = Path extends `${string}{${infer Name}}${infer Rest}` ? Name | Placeholders<Rest> : never;
type Params<Name extends RouteName> = [Placeholders<Routes[Name]>] extends [never]
    ? []
    : [params: Record<Placeholders<Routes[Name]>, string>];

/** What stands behind "job." in the name of a route that needs nothing but the job. */
export type JobRoute = {
    [Name in RouteName]: Name extends `job.${infer Part}`
        ? Placeholders<Routes[Name]> extends 'job'
            ? Part
            : never
        : never;
}[RouteName];

/** The address of a named route, its placeholders filled in: a name or a placeholder that is none fails the types. */
export function url<Name extends RouteName>(name: Name, ...[params]: Params<Name>): string {
    const values: Record<string, string> = params ?? {};
    return routes[name].replace(/\{(\w+)\}/g, (_, key: string) => encodeURIComponent(values[key] ?? ''));
}
