import type { InputIssue } from '../sizes/read-fields'

/** Thrown by a plan whose fields are each in range but cannot be made together; `run` gives it back as an issue of that field. */
export class PlanRefusal extends Error {
  readonly issue: InputIssue

  constructor(issue: InputIssue) {
    super(issue.message)
    this.name = 'PlanRefusal'
    this.issue = issue
  }
}
