export default lessonRoutes.put()
