/**
 * An averaged perceptron as it is used: of each label the weights of the features that are there are added, and the highest sum wins
 * (Collins 2002, "Discriminative Training Methods for Hidden Markov Models"; from memory). Weights are whole numbers, so that every
 * machine says the same.
 */

/** Weights as they are stored: of each feature one whole number for each label. */
export interface Weights<Label extends string> {
  readonly labels: readonly Label[];
  readonly features: Readonly<Record<string, readonly number[]>>;
  /** The lead that is as good as sure, in weights: the median of the leads of right guesses. */
  readonly sureLead: number;
}

/** What was guessed, and how sure that is. */
export interface Judged<Label extends string> {
  readonly label: Label;
  /** 0 to 1: a half is a coin. */
  readonly sure: number;
}

/** Weights made ready to be asked. */
export class Judge<Label extends string> {
  private readonly of: ReadonlyMap<string, readonly number[]>;

  constructor(private readonly weights: Weights<Label>) {
    this.of = new Map(Object.entries(weights.features));
  }

  /** Of each label the weights of the features that are there. */
  sums(features: readonly string[]): readonly number[] {
    const sums = this.weights.labels.map(() => 0);
    for (const feature of features)
      this.of.get(feature)?.forEach((weight, k) => {
        sums[k]! += weight;
      });
    return sums;
  }

  /** The label with the highest sum among those allowed (all, where none are named), and by how much it leads. */
  judge(features: readonly string[], allowed?: ReadonlySet<Label>): Judged<Label> {
    const { labels, sureLead } = this.weights;
    const sums = this.sums(features);
    let best = -1;
    let second = Number.NEGATIVE_INFINITY;
    labels.forEach((label, k) => {
      if (allowed && !allowed.has(label)) return;
      if (best < 0 || sums[k]! > sums[best]!) {
        if (best >= 0) second = Math.max(second, sums[best]!);
        best = k;
      } else second = Math.max(second, sums[k]!);
    });
    const lead = Number.isFinite(second) ? sums[best]! - second : sureLead * 3;
    return { label: labels[best]!, sure: 1 / (1 + Math.exp((-3 * lead) / Math.max(1, sureLead))) };
  }
}
