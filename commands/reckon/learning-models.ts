import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { paceUpdate } from "#core/learning/pace-update.ts";
import { FEATHER_ANSWERS, learnTarget } from "#core/scald/scald-learn.ts";

export const LEARNING_MODELS: Readonly<Record<string, Model>> = {
  "pace.update": model(
    z.object({
      prior_minutes: number,
      prior_sd_ln: number,
      day_sd_ln: number,
      bird_sd_ln: number,
      days: z.array(z.object({ birds: number, mean_ln_minutes: number })),
    }),
    (of) => {
      const pace = paceUpdate({
        priorMinutes: of.prior_minutes,
        priorSdLn: of.prior_sd_ln,
        daySdLn: of.day_sd_ln,
        birdSdLn: of.bird_sd_ln,
        seen: of.days.map(({ birds, mean_ln_minutes }) => ({ birds, meanLnMinutes: mean_ln_minutes })),
      });
      return {
        minutes: pace.minutes,
        sd_ln: pace.sdLn,
        weight_of_prior: pace.priorWeight,
        low_minutes: pace.lowMinutes,
        high_minutes: pace.highMinutes,
      };
    },
  ),
  "scald.learn": model(
    z.object({
      prior_sd_ln: number,
      test_sd_ln: number,
      under_ratio: number,
      over_ratio: number,
      birds: z.array(z.object({ dose_ratio: number, answer: z.enum(FEATHER_ANSWERS) })),
    }),
    (of) => {
      const learned = learnTarget({
        priorSdLn: of.prior_sd_ln,
        testSdLn: of.test_sd_ln,
        underRatio: of.under_ratio,
        overRatio: of.over_ratio,
        birds: of.birds.map(({ dose_ratio, answer }) => ({ doseRatio: dose_ratio, answer })),
      });
      return {
        theta_mean: learned.thetaMean,
        theta_sd: learned.thetaSd,
        target_factor: learned.targetFactor,
      };
    },
  ),
};
