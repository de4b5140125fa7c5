# frozen_string_literal: true

module Rungs
  class Slip
    # What each slip is called in a list, in a few words.
    TITLES = {
      "start_counted" => "the starting number counted as a step", "one_short" => "one left out", "one_over" => "one counted twice",
      "swapped_operation" => "the other operation", "said_addend" => "one of the numbers said again", "next_number" => "the next number said",
      "doubled" => "one number doubled", "stopped_at_ten" => "stopped at ten", "kept_whole_addend" => "the whole number put on after ten",
      "stuck_together" => "two digits put side by side", "teen_turned" => "a teen number turned round", "zero_adds_one" => "zero adds one",
      "zero_appended" => "a zero put behind", "zero_wipes" => "zero makes nothing", "no_carry" => "the new ten left out", "ones_to_tens" => "ones put with the tens",
      "added_instead" => "added instead of taken away", "said_taken" => "the number taken said", "said_whole" => "the whole said",
      "wrong_side_of_ten" => "the wrong side of ten", "smaller_from_larger" => "each smaller digit from the larger", "zero_takes_one" => "zero takes one",
      "zero_takes_all" => "zero takes all", "all_gone_kept" => "all gone, but the whole said", "added_shown" => "the two numbers shown added", "gave_total" => "the total given",
      "repeated_given" => "the number given said again", "answer_next" => "the answer put next to the equals sign", "added_all" => "all numbers added",
      "digits_as_ones" => "the digits taken as ones"
    }.freeze
  end
end
