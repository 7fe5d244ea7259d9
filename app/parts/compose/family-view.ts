import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  inject,
  input,
  resource,
  viewChild,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatTree, MatTreeModule } from '@angular/material/tree';
import { Router } from '@angular/router';
import { spell } from '../../../core/index';
import { ComposeService } from '../../services/compose.service';
import type { FamilyNode } from '../../workers/composing';
import { ComposedRow } from './composed-row';

/** A member with the way that leads to it from the single move. */
interface Placed extends FamilyNode {
  readonly way: readonly string[];
  readonly children: readonly Placed[];
}

const placed = (node: FamilyNode, before: readonly string[] = []): Placed => {
  const way = [...before, node.text];
  return { ...node, way, children: node.children.map((child) => placed(child, way)) };
};

/** A family of combinations as a tree: each child has one move more than its parent. */
@Component({
  selector: 'kt-family-view',
  imports: [ComposedRow, MatButtonModule, MatIcon, MatTreeModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (family.value(); as known) {
      <p class="soft">Each step adds one move and flows. A goal can become a programme over several weeks.</p>
      <mat-tree #tree aria-label="Build-ups" [dataSource]="known.trees" [childrenAccessor]="children">
        <mat-tree-node
          *matTreeNodeDef="let node"
          matTreeNodePadding
          [matTreeNodePaddingIndent]="12"
          [isExpandable]="node.children.length > 0"
        >
          @if (node.children.length > 0) {
            <button
              type="button"
              matIconButton
              matTreeNodeToggle
              [attr.aria-label]="(tree.isExpanded(node) ? 'Collapse ' : 'Expand ') + spelled(node.text)"
            >
              <mat-icon [svgIcon]="tree.isExpanded(node) ? 'fold' : 'unfold'" />
            </button>
          } @else {
            <!-- As wide as the button of those that unfold, so that a leaf stands further in than its parent. -->
            <button type="button" matIconButton disabled aria-hidden="true"></button>
          }
          <kt-composed-row class="member" [text]="node.text" [note]="node.goal ? 'goal' : ''">
            @if (node.goal) {
              <button
                type="button"
                matButton="outlined"
                [attr.aria-label]="spelled(node.text) + ' as a programme'"
                (click)="teach(node)"
              >
                Make a programme
              </button>
            }
          </kt-composed-row>
        </mat-tree-node>
      </mat-tree>
      @if (known.left.length > 0) {
        <p role="status">
          No build-up for {{ known.left.join(' · ') }}: it doesn’t flow, is longer than twelve moves, or has more than
          plain moves.
        </p>
      }
    }
  `,
  styles: `
    .member {
      flex: 1 1 auto;
    }
    mat-tree {
      --mat-tree-container-background-color: transparent;
    }
    mat-tree-node {
      border-top: 1px solid var(--line);
    }
  `,
  host: { class: 'stack' },
})
export class FamilyView {
  /** Kept texts of the combinations that it grows towards. */
  readonly goals = input.required<readonly string[]>();
  private readonly composer = inject(ComposeService);
  private readonly router = inject(Router);
  protected readonly spelled = (text: string): string => spell(text, this.composer.scheme());

  protected readonly family = resource({
    params: () => this.goals(),
    loader: async ({ params }) => {
      const { trees, left } = await this.composer.ask('family', params);
      return { trees: trees.map((tree) => placed(tree)), left };
    },
  });
  private readonly tree = viewChild<MatTree<Placed>>(MatTree);

  constructor() {
    // A family is small: it is seen whole.
    afterRenderEffect(() => {
      if (this.family.hasValue()) this.tree()?.expandAll();
    });
  }

  protected readonly children = ({ children }: Placed): Placed[] => [...children];

  /** Opens the form of a programme that builds up to a goal, step by step as the family does. */
  protected teach({ way }: Placed): void {
    void this.router.navigate(['/programme'], { queryParams: { towards: way } });
  }
}
