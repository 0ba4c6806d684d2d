import type { ComponentId } from '../../model/ids';
import type { Model } from '../../model/model';
import { remembered } from '../../model/remembered';
import { locate, type Location } from '../../model/span';

/** The module of the framework that declares a component. */
export type ModuleOf = {
  readonly name: string;
  readonly at: Location;
  /** Whether it hands the component to who brings it in. */
  readonly offers: boolean;
};

const modulesIn = remembered((model: Model): ReadonlyMap<ComponentId, ModuleOf> => {
  const found = new Map<ComponentId, ModuleOf>();
  for (const { file, groups = [] } of model.files.values()) {
    const meant = (name: string): ComponentId | undefined => {
      const one = model.named(file, name);
      return one.kind === 'component' ? one.id : undefined;
    };
    for (const { name, span, declares, offers } of groups) {
      const offered = new Set(offers.map(meant));
      for (const component of declares.map(meant))
        if (component !== undefined && !found.has(component))
          found.set(component, { name, at: locate(file, span), offers: offered.has(component) });
    }
  }
  return found;
});

/** The module that declares a component; undefined for one that stands alone, and where frameworks have no such thing. */
export const moduleOf = (model: Model, component: ComponentId): ModuleOf | undefined => modulesIn(model).get(component);
