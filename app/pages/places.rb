# frozen_string_literal: true

module Pages
  # Which pages answer under which path.
  module Places
    ALL = {
      "/today" => Today, "/plan" => Plan, "/lesson" => Lessons, "/week" => Week, "/numbers" => Numbers,
      "/board" => Board, "/b" => Projector, "/listen" => Listen, "/find" => Find, "/own" => Own,
      "/items" => Items, "/conduct" => Conduct, "/share" => Share, "/check-in" => CheckIn,
      "/from-home" => FromHome, "/photos" => Photos, "/climb" => Climb, "/hear" => Hear,
      "/groups" => Groups, "/back" => Back, "/notes" => Notes, "/sheets" => Sheets, "/search" => Search,
      "/calendar" => Calendar, "/substitute" => Substitute, "/account" => Account, "/gallery" => Gallery,
      "/coach" => Coach, "/ear" => Ear, "/people" => People, "/invite" => Invite, "/records" => Keeping,
      "/schema" => Schema, "/pictures" => Pictures, "/" => Home
    }.freeze
  end
end
