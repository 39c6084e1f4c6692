/**
 * Asks one question at a time. What is asked meanwhile waits, and only the latest of it;
 * so answers come in the order of their questions, and none lands after a newer one.
 */
export class LatestOnly<Question, Answer> {
  private isAsking = false;
  private next: { readonly question: Question } | null = null;
  private isClosed = false;

  constructor(
    private readonly ask: (question: Question) => Promise<Answer>,
    private readonly onAnswer: (answer: Answer, question: Question) => void,
  ) {}

  put(question: Question): void {
    this.next = { question };
    void this.run();
  }

  /** What comes from now on is nobody's. */
  close(): void {
    this.isClosed = true;
    this.next = null;
  }

  private async run(): Promise<void> {
    if (this.isAsking) return;
    this.isAsking = true;
    while (this.next !== null) {
      const { question } = this.next;
      this.next = null;
      const answer = await this.ask(question);
      if (!this.isClosed) this.onAnswer(answer, question);
    }
    this.isAsking = false;
  }
}
