export interface CompiledPage {
  readonly id: string;
  readonly title: string;
  readonly html: string;
  readonly words: string;
}
export function guideIds(): readonly string[];
export function addressIn(id: string, href: string): string;
export function anchorOf(heading: string): string;
export function compilePage(id: string, pictures: Set<string>): Promise<CompiledPage>;
