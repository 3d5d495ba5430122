/** By which buttons elsewhere on the page send the plan's form. */
export const PLAN_FORM = "plan";
