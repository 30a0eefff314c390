export default lessonRoutes.restore()
